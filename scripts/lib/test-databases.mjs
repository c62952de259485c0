/** Makes the named databases anew beside the one that `url` names; gives the address of each. */
export async function freshDatabases(url, names) {
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const addresses = [];
  for (const name of names) {
    await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
    await client.query(`CREATE DATABASE ${name} ENCODING 'UTF8' TEMPLATE template0`);
    const address = new URL(url);
    address.pathname = `/${name}`;
    addresses.push(address.href);
  }
  await client.end();
  return addresses;
}
