/** Rules to begin with, by what they are called. */
export const usualRules: readonly { name: string; rule: string }[] = [
  { name: 'changed firm', rule: 'changed:company OR moved:[* TO 90]' },
  { name: 'new title', rule: 'changed:title NOT changed:company' },
  { name: 'moved country', rule: 'changed:country' },
  { name: 'posted', rule: 'active:[* TO 30]' },
  { name: 'firm grew', rule: 'grown:[10 TO *] OR (growth:[10 TO *] NOT was.growth:[10 TO *])' },
  { name: 'firm hires', rule: 'hiring:yes NOT was.hiring:yes' },
  { name: 'firm was funded', rule: 'funded:yes NOT was.funded:yes' },
  { name: 'new leaders', rule: 'leaders:[* TO 90]' }
];
