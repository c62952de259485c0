import { describe, expect, it } from 'vitest';
import { upgradedSheet } from './older-sheet';
import { sheetSchema } from './sheet';
import { quillbank } from './sheets';

const { lists, ...others } = quillbank;

describe('a sheet that an earlier release or an older adapter wrote', () => {
  it('keeps what its source lists under the name of today', () => {
    expect(sheetSchema.parse({ ...others, tells: lists })).toEqual(quillbank);
  });

  it('prefers the name of today where both are there', () => {
    expect(sheetSchema.parse({ ...quillbank, tells: ['about'] }).lists).toEqual(lists);
  });

  it('lists titles, firms, its boxes and its facts where it names no text', () => {
    const upgraded = upgradedSheet({ ...others, tells: ['founded'] });
    const facts = quillbank.facts.map(({ scope }) => scope);
    expect(sheetSchema.parse(upgraded).lists).toEqual(
      expect.arrayContaining(['title', 'company', 'founded', ...facts])
    );
  });

  it('comes back as it is where it is no sheet', () => {
    expect([upgradedSheet(null), upgradedSheet(7), upgradedSheet({ tells: 1 })]).toEqual([null, 7, { tells: 1 }]);
  });
});
