package org.jexel.app;

import java.sql.PreparedStatement;
import java.sql.Statement;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;

/** Changes rows that stand, as a hand at the console does who says that it mends. */
public final class Mending {
  private Mending() {}

  public static int update(JdbcTemplate sql, String text, Object... values) {
    return sql.execute(
        (ConnectionCallback<Integer>)
            connection -> {
              try (Statement session = connection.createStatement();
                  PreparedStatement change = connection.prepareStatement(text)) {
                session.execute("set @jexel_mending = 1");
                try {
                  for (int i = 0; i < values.length; i++) {
                    change.setObject(i + 1, values[i]);
                  }
                  return change.executeUpdate();
                } finally {
                  session.execute("set @jexel_mending = null");
                }
              }
            });
  }
}
