package org.jexel.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;

class AskAgainTest {
  private final DataSource database = mock(DataSource.class);
  private final DataSource asking = new AskAgain.Asking(database);

  private static SQLException away() {
    return new SQLException("connection refused", "08000");
  }

  @Test
  void aDatabaseThatIsAwayIsAskedUntilItIsBack() throws SQLException {
    Connection back = mock(Connection.class);
    when(database.getConnection()).thenThrow(away(), away(), away()).thenReturn(back);
    when(database.getConnection(any(), any())).thenThrow(away()).thenReturn(back);
    assertThat(asking.getConnection()).isSameAs(back);
    assertThat(asking.getConnection("jexel", "jexel")).isSameAs(back);
  }

  @Test
  void oneThatRefusesIsNotAskedAgain() throws SQLException {
    when(database.getConnection()).thenThrow(new SQLException("access denied", "28000"));
    assertThatThrownBy(asking::getConnection).hasMessage("access denied");
    verify(database, times(1)).getConnection();
  }

  /** A pool that shuts down ends its threads so. */
  @Test
  void whoIsInterruptedStopsAsking() throws SQLException {
    when(database.getConnection()).thenThrow(away());
    Thread.currentThread().interrupt();
    assertThatThrownBy(asking::getConnection).hasMessage("connection refused");
    assertThat(Thread.interrupted()).isTrue();
  }
}
