import { QueryTypes, type BindOrReplacements, type Sequelize, type Transaction } from 'sequelize';

/** The schema as a migration sees it: everything it does is part of one transaction. */
export class Schema {
  private readonly database: Sequelize;
  private readonly transaction: Transaction;

  constructor(database: Sequelize, transaction: Transaction) {
    this.database = database;
    this.transaction = transaction;
  }

  async query(sql: string, bind?: BindOrReplacements): Promise<void> {
    await this.database.query(sql, { ...(bind && { bind }), transaction: this.transaction });
  }

  async select<Row extends object>(sql: string, bind?: BindOrReplacements): Promise<Row[]> {
    return this.database.query<Row>(sql, {
      ...(bind && { bind }),
      type: QueryTypes.SELECT,
      transaction: this.transaction
    });
  }

  /** Whether a table is there, or a column of it. */
  async has(table: string, column?: string): Promise<boolean> {
    const found = await this.select(
      `SELECT 1 FROM information_schema.columns
       WHERE table_schema = current_schema() AND table_name = $table AND column_name = coalesce($column, column_name) LIMIT 1`,
      { table, column: column ?? null }
    );
    return found.length > 0;
  }

  /** Whether a check constraint of that name lets a text through. */
  async checks(constraint: string, text: string): Promise<boolean> {
    const found = await this.select(
      `SELECT 1 FROM information_schema.check_constraints
       WHERE constraint_schema = current_schema() AND constraint_name = $constraint AND check_clause LIKE $text`,
      { constraint, text: `%'${text}'%` }
    );
    return found.length > 0;
  }

  /** Whether a table has a constraint of that name. */
  async hasConstraint(table: string, constraint: string): Promise<boolean> {
    const found = await this.select(
      `SELECT 1 FROM information_schema.table_constraints
       WHERE constraint_schema = current_schema() AND table_name = $table AND constraint_name = $constraint`,
      { table, constraint }
    );
    return found.length > 0;
  }

  /** Whether an index of that name is there. */
  async hasIndex(name: string): Promise<boolean> {
    const found = await this.select(
      'SELECT 1 FROM pg_indexes WHERE schemaname = current_schema() AND indexname = $name',
      { name }
    );
    return found.length > 0;
  }

  /** Whether a function of that name is there. */
  async hasFunction(name: string): Promise<boolean> {
    const found = await this.select(
      `SELECT 1 FROM information_schema.routines WHERE routine_schema = current_schema() AND routine_name = $name`,
      { name }
    );
    return found.length > 0;
  }
}
