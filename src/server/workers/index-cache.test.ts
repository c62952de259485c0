import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { parse } from '$core/language';
import { indexName, makeStandIn, standIns, worldName } from '$sources/stand-ins/stand-ins';
import { makeWorld, recallWorld } from '$sources/world/world';
import { readKept, readKeptWorld, writeKept } from './index-cache';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'eave-'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const [standIn] = standIns as [(typeof standIns)[number]];
const world = makeWorld(500);

describe('what is kept of a stand-in', () => {
  it('makes the same source again', () => {
    const { source, kept } = makeStandIn(standIn, world);
    const name = indexName(standIn, 500);
    writeKept(folder, name, kept);
    writeKept(folder, worldName(500), world.kept);
    const recalled = recallWorld(readKeptWorld(folder, worldName(500))!);
    const again = makeStandIn(standIn, recalled, readKept(folder, name)!).source;
    for (const text of ['title:manager', '"cold chain" OR pharma*', 'headcount:[51 TO *] NOT country:Denmark']) {
      const query = parse(text).query!;
      expect(again.index.find(query)).toEqual(source.index.find(query));
      expect(source.index.count(query)).toBeGreaterThan(0);
    }
    expect(again.personAt(7)).toEqual(source.personAt(7));
    expect(again.rowOf(source.personAt(7).id)).toBe(7);
  });

  it('goes when it is rebuilt under another name, but not for a world of another size', () => {
    const { kept } = makeStandIn(standIn, world);
    for (const name of ['harrow-guild-500-a', 'harrow-guild-900-b', 'harrow-guild-500-c'])
      writeKept(folder, name, kept);
    expect(readdirSync(folder).sort()).toEqual(['harrow-guild-500-c.index', 'harrow-guild-900-b.index']);
  });

  it('is nothing where it is not there or broken', () => {
    expect(readKept(folder, 'nothing-1-a')).toBeNull();
    writeFileSync(join(folder, 'broken-1-a.index'), 'x');
    for (const read of [readKept, readKeptWorld]) expect(read(folder, 'broken-1-a')).toBeNull();
    writeKept(folder, 'other-1-a', world.kept);
    expect(readKept(folder, 'other-1-a')).toBeNull();
  });

  it('has a name that belongs to the source, the size and what the records are', () => {
    const names = standIns.flatMap((one) => [indexName(one, 500), indexName(one, 600)]);
    expect(new Set(names).size).toBe(8);
    expect(indexName(standIn, 500)).toBe(names[0]);
  });
});
