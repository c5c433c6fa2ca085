package org.jexel.app.security;

import io.github.bucket4j.distributed.proxy.ClientSideConfig;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.AbstractSelectForUpdateBasedProxyManager;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.LockAndGetResult;
import io.github.bucket4j.distributed.proxy.generic.select_for_update.SelectForUpdateBasedTransaction;
import io.github.bucket4j.distributed.remote.RemoteBucketState;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;
import javax.sql.DataSource;
import org.springframework.dao.DataAccessResourceFailureException;

/**
 * Token buckets in the table {@code sign_in_try}, a row each, locked while a try is counted. The
 * library's own module for such a table asks for the driver of another database.
 */
class BucketTable extends AbstractSelectForUpdateBasedProxyManager<String> {
  private final DataSource database;

  BucketTable(DataSource database) {
    super(ClientSideConfig.getDefault());
    this.database = database;
  }

  @Override
  protected SelectForUpdateBasedTransaction allocateTransaction(
      String key, Optional<Long> timeout) {
    try {
      return new Row(database.getConnection(), key);
    } catch (SQLException e) {
      throw new DataAccessResourceFailureException("No connection to count a try", e);
    }
  }

  @Override
  public void removeProxy(String key) {
    try (Connection connection = database.getConnection();
        PreparedStatement delete =
            connection.prepareStatement("delete from sign_in_try where id = ?")) {
      delete.setString(1, key);
      delete.executeUpdate();
    } catch (SQLException e) {
      throw new DataAccessResourceFailureException("A bucket cannot be removed", e);
    }
  }

  /** What is done with a row's connection. */
  private interface Work<T> {
    T on(Connection connection) throws SQLException;
  }

  /** The same, where nothing is told. */
  private interface Act {
    void on(Connection connection) throws SQLException;
  }

  /** One row in one transaction. */
  private record Row(Connection connection, String key) implements SelectForUpdateBasedTransaction {

    private <T> T with(Work<T> work) {
      try {
        return work.on(connection);
      } catch (SQLException e) {
        throw new DataAccessResourceFailureException("A try cannot be counted", e);
      }
    }

    private void run(Act act) {
      with(
          c -> {
            act.on(c);
            return true;
          });
    }

    private int update(String sql, Object... values) {
      return with(
          c -> {
            try (PreparedStatement statement = c.prepareStatement(sql)) {
              for (int i = 0; i < values.length; i++) {
                statement.setObject(i + 1, values[i]);
              }
              return statement.executeUpdate();
            }
          });
    }

    @Override
    public void begin(Optional<Long> timeout) {
      run(c -> c.setAutoCommit(false));
    }

    /**
     * Looks whether the row is there before it locks it: to lock a row that is not there locks the
     * gap around it, and two who then both insert stand in each other's way.
     */
    @Override
    public LockAndGetResult tryLockAndGet(Optional<Long> timeout) {
      return read("").isLocked() ? read(" for update") : LockAndGetResult.notLocked();
    }

    private LockAndGetResult read(String how) {
      return with(
          c -> {
            try (PreparedStatement select =
                c.prepareStatement("select state from sign_in_try where id = ?" + how)) {
              select.setString(1, key);
              try (ResultSet row = select.executeQuery()) {
                return row.next()
                    ? LockAndGetResult.locked(row.getBytes(1))
                    : LockAndGetResult.notLocked();
              }
            }
          });
    }

    @Override
    public boolean tryInsertEmptyData(Optional<Long> timeout) {
      return update("insert ignore into sign_in_try (id, state) values (?, null)", key) > 0;
    }

    @Override
    public void update(byte[] data, RemoteBucketState state, Optional<Long> timeout) {
      update("update sign_in_try set state = ? where id = ?", data, key);
    }

    @Override
    public void commit(Optional<Long> timeout) {
      run(c -> c.commit());
    }

    @Override
    public void rollback() {
      run(c -> c.rollback());
    }

    @Override
    public void release() {
      run(c -> c.close());
    }
  }
}
