import { expect, it } from 'vitest';
import { readTrigger } from '$core/changes';
import { usualRules } from './usual-rules';

it.each(usualRules)('$name is a rule that can be read', ({ rule }) => expect(readTrigger(rule).problems).toEqual([]));
