import type { NamedSet } from '$core/language';

/** Word sets that every new library begins with. Common practice, no published source. */
export const demoWordSets: readonly NamedSet[] = [
  {
    name: 'never-interns',
    kind: 'unwanted',
    wordings: [
      'intern',
      'internship',
      'trainee',
      'apprentice',
      'working student',
      'Werkstudent',
      'Auszubildende*',
      'stagiaire',
      'alternant',
      'praktikant*',
      'elev',
      'lærling'
    ],
    note: 'People who are still learning the trade'
  },
  {
    name: 'never-assistants',
    kind: 'unwanted',
    wordings: [
      'assistant to',
      'personal assistant',
      'executive assistant',
      'secretary',
      'receptionist',
      'sekretær',
      'assistante de direction'
    ],
    note: 'People who work for the buyer'
  },
  {
    name: 'never-recruiters',
    kind: 'unwanted',
    wordings: [
      'recruiter',
      'recruitment',
      'talent acquisition',
      'headhunter',
      'staffing',
      'rekruttering',
      'Personalvermittlung'
    ],
    note: 'People who write of the role because they fill it'
  },
  {
    name: 'cold-chain',
    kind: 'wanted',
    wordings: [
      'cold chain',
      'temperature controlled',
      'temperature-controlled',
      'chilled',
      'refrigerated',
      'koelketen',
      'Kühlkette',
      'kølekæde',
      'chaîne du froid'
    ],
    note: 'Ways of saying that goods are kept cold'
  }
];
