package org.jexel.app.security;

import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Where people have signed in. */
interface SignInPlaceRepository extends JpaRepository<SignInPlace, Long> {
  Optional<SignInPlace> findByPersonIdAndPlace(Long personId, String place);
}
