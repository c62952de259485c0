import { Sequelize } from 'sequelize';
import { environment } from '../environment';

let open: Sequelize | undefined;

/** The one connection pool of this process. */
export function database(): Sequelize {
  open ??= new Sequelize(environment().databaseUrl, {
    dialect: 'postgres',
    logging: false,
    pool: { max: 8, idle: 10_000, acquire: 10_000 },
    dialectOptions: { connectionTimeoutMillis: 5_000 }
  });
  return open;
}

export async function closeDatabase(): Promise<void> {
  const closing = open;
  open = undefined;
  await closing?.close();
}
