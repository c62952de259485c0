import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { contract } from '$api';
import { connectorOpenApi, openApi } from './openapi';

const routes = 'src/routes/api';

function routeFiles(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) =>
    entry.isDirectory() ? routeFiles(join(folder, entry.name)) : entry.name === '+server.ts' ? [folder] : []
  );
}

describe('the contract', () => {
  it('has a route for every operation, and an operation for every route', () => {
    const offered = routeFiles(routes)
      .filter((folder) => !folder.endsWith('.json') && !folder.includes('[...'))
      .flatMap((folder) => {
        const source = readFileSync(join(folder, '+server.ts'), 'utf8');
        const path = folder.replace('src/routes', '').replaceAll('[', '{').replaceAll(']', '}');
        return [...source.matchAll(/export const (GET|POST|PUT|PATCH|DELETE)/g)].map(
          ([, method]) => `${method} ${path}`
        );
      });
    expect(offered.sort()).toEqual(
      Object.values(contract)
        .map(({ method, path }) => `${method} ${path}`)
        .sort()
    );
  });

  const document = openApi();
  const schemas = document.components.schemas as Record<string, { properties?: object; required?: string[] }>;

  it('becomes an OpenAPI document that describes each', () => {
    expect(document.openapi).toBe('3.1.0');
    const written = Object.values(document.paths).flatMap((path) => Object.values(path)) as { operationId: string }[];
    expect(written.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(contract).sort());
    const put = document.paths['/api/briefs/{id}/persona']!.put as {
      requestBody: { content: Record<string, { schema: { properties: object } }> };
      parameters: object[];
    };
    expect(put.requestBody.content['application/json']!.schema.properties).toMatchObject({
      revision: { type: 'integer' },
      body: { $ref: '#/components/schemas/PersonaSent' }
    });
    expect(put.parameters).toMatchObject([{ name: 'id', in: 'path', required: true }]);
  });

  it('describes the connector protocol, for anybody who writes an adapter', () => {
    const connector = connectorOpenApi();
    expect(Object.keys(connector.paths)).toEqual(['/sheet', '/search']);
    const text = JSON.stringify(connector);
    for (const [, to] of text.matchAll(/"\$ref":"([^"]+)"/g)) expect(connector).toHaveProperty(to!.slice(2).split('/'));
    expect(text).toContain('What the page before gave');
  });

  it('says once what many operations share', () => {
    const text = JSON.stringify(document);
    const referred = [...text.matchAll(/"\$ref":"([^"]+)"/g)].map(([, to]) => to!);
    expect(referred.length).toBeGreaterThan(200);
    for (const to of new Set(referred)) expect(document).toHaveProperty(to.slice(2).split('/'));
    expect(text.length / Object.keys(contract).length).toBeLessThan(1_800);
    // What has a default need not be sent, and is always answered.
    expect(schemas.Sheet!.required).toContain('tells');
    expect(schemas.SheetSent!.required).not.toContain('tells');
  });
});
