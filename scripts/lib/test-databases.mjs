/**
 * Makes the named databases anew beside the one that `url` names; gives the address of each.
 * @param {string} url
 * @param {readonly string[]} names
 * @returns {Promise<string[]>}
 */
export async function freshDatabases(url, names) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const addresses = [];
  for (const name of names) {
    await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
    await client.query(`CREATE DATABASE ${name} ENCODING 'UTF8' TEMPLATE template0`);
    // Tests kill servers of Eave and not PostgreSQL, so that no test can tell; a slow disk would hold up every commit.
    await client.query(`ALTER DATABASE ${name} SET synchronous_commit = off`);
    const address = new URL(url);
    address.pathname = `/${name}`;
    addresses.push(address.href);
  }
  await client.end();
  return addresses;
}
