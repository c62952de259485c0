import { describe, expect, it } from 'vitest';
import { contactKeys } from './contact-keys';

const person = (name: string, company: string, contact: string[] = []) => ({
  id: name,
  name,
  jobs: [
    { title: 'Buyer', company },
    { title: 'Clerk', company: 'Old Firm', to: '2019' }
  ],
  contact
});

describe('what a person is known by again', () => {
  it('is the mail address in any case, and the name with the present firm', () =>
    expect(
      contactKeys(person('Anna Ström', 'Polderkoel B.V.', ['Anna@Polderkoel.example', '+31 20 555 0100']))
    ).toEqual(['anna@polderkoel.example', 'anna strom at polderkol', 'anna stroem at polderkol']));
  it('is the same for another legal form and other punctuation', () =>
    expect(contactKeys(person('Anna  Ström', 'POLDERKOEL'))).toEqual(
      contactKeys(person('anna ström', 'Polderkoel, BV'))
    ));
  it('is nothing where neither is known', () => expect(contactKeys({ id: '1', name: '…' })).toEqual([]));
});
