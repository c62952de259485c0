import { describe, expect, it } from 'vitest';
import { contract } from '$api';
import { connectorOpenApi, openApi } from './openapi';

describe('the contract', () => {
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
    expect(schemas.Sheet!.required).toContain('lists');
    expect(schemas.SheetSent!.required).not.toContain('lists');
  });
});
