package org.jexel.app.security;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.util.DriverDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * Makes the pool ask a database that is away ten times a second. By itself it waits twice as long
 * after each try, up to five seconds: for so long people would wait for a database that is back.
 *
 * <p>The pool asks on a thread of its own; whoever wants a connection meanwhile waits no longer
 * than the pool's own time, and is told.
 */
@Component
class AskAgain implements BeanPostProcessor {
  private static final long PAUSE_MS = 100;

  @Override
  public Object postProcessBeforeInitialization(Object bean, String name) {
    if (bean instanceof HikariDataSource pool) {
      pool.setDataSource(
          new Asking(
              new DriverDataSource(
                  pool.getJdbcUrl(),
                  pool.getDriverClassName(),
                  pool.getDataSourceProperties(),
                  pool.getUsername(),
                  pool.getPassword())));
    }
    return bean;
  }

  /** Comes back with a connection, or with why there will be none: refused, or interrupted. */
  static final class Asking extends DelegatingDataSource {
    /** SQLSTATE class of what has to do with the connection, by ISO/IEC 9075. */
    private static final String CONNECTION = "08";

    private interface Try {
      Connection connect() throws SQLException;
    }

    Asking(DataSource asked) {
      super(asked);
    }

    @Override
    public Connection getConnection() throws SQLException {
      return untilThere(super::getConnection);
    }

    @Override
    public Connection getConnection(String user, String password) throws SQLException {
      return untilThere(() -> super.getConnection(user, password));
    }

    private static Connection untilThere(Try asked) throws SQLException {
      while (true) {
        try {
          return asked.connect();
        } catch (SQLException away) {
          String state = away.getSQLState();
          if (state == null || !state.startsWith(CONNECTION)) {
            throw away;
          }
          pause(away);
        }
      }
    }

    private static void pause(SQLException away) throws SQLException {
      try {
        Thread.sleep(PAUSE_MS);
      } catch (InterruptedException ended) {
        Thread.currentThread().interrupt();
        throw away;
      }
    }
  }
}
