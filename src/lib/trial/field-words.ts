/** The fields of a person, as a sentence speaks of them. */
export const fieldWords: Record<string, string> = {
  title: 'the current title',
  pasttitle: 'a past title',
  company: 'the current firm',
  pastcompany: 'a past firm',
  about: 'the about text',
  skill: 'a skill',
  school: 'the school',
  group: 'a group',
  contact: 'the contact data',
  jobtext: 'a job’s text',
  name: 'the name',
  place: 'the place',
  country: 'the country',
  industry: 'the industry',
  function: 'the function',
  rank: 'the rank',
  tech: 'the technology',
  mail: 'the mail state',
  hiring: 'the firm’s hiring',
  funded: 'the firm’s funding',
  language: 'the language'
};
