import { fold } from '../language/tokens';
import { columnFields, type ColumnField } from './column-fields';

/** Headings that people give such columns, folded, without spaces and signs. */
const headings: Partial<Record<ColumnField, readonly string[]>> = {
  id: ['id', 'key', 'personid', 'contactid', 'recordid'],
  name: ['name', 'fullname', 'personname', 'contact', 'contactname', 'navn', 'namn', 'naam', 'nom'],
  firstName: ['firstname', 'givenname', 'forename', 'fornavn', 'förnamn', 'voornaam', 'vorname', 'prénom'],
  lastName: ['lastname', 'surname', 'familyname', 'efternavn', 'efternamn', 'etternavn', 'achternaam', 'nachname'],
  title: ['title', 'jobtitle', 'currenttitle', 'position', 'role', 'stilling', 'titel', 'functie', 'poste', 'job'],
  company: [
    'company',
    'companyname',
    'currentcompany',
    'employer',
    'organisation',
    'organization',
    'firm',
    'account',
    'firma',
    'bedrijf',
    'virksomhed',
    'société'
  ],
  pastTitle: ['pasttitle', 'previoustitle', 'formertitle', 'lasttitle'],
  pastCompany: ['pastcompany', 'previouscompany', 'formercompany', 'previousemployer'],
  about: ['about', 'summary', 'bio', 'description', 'notes', 'headline'],
  skills: ['skills', 'skill', 'keywords', 'tags'],
  school: ['school', 'education', 'university'],
  group: ['group', 'groups'],
  mail: ['mail', 'email', 'emailaddress', 'mailaddress', 'workemail'],
  phone: ['phone', 'phonenumber', 'mobile', 'telephone', 'tel'],
  url: ['url', 'profile', 'profileurl', 'link', 'website', 'page'],
  place: ['place', 'city', 'town', 'location', 'region', 'by', 'stad', 'ort', 'ville'],
  country: ['country', 'countrycode', 'land', 'pays', 'nation'],
  industry: ['industry', 'sector', 'branche', 'isic'],
  function: ['function', 'department', 'jobfunction'],
  rank: ['rank', 'seniority', 'level'],
  headcount: ['headcount', 'employees', 'companysize', 'size', 'staff', 'numberofemployees', 'noofemployees'],
  founded: ['founded', 'yearfounded', 'foundedyear'],
  person: ['jobs', 'person']
};

const byHeading = new Map(
  (Object.entries(headings) as [ColumnField, readonly string[]][]).flatMap(([field, names]) =>
    names.map((name) => [name, field] as const)
  )
);

/** The likely field of each column by its heading; no field twice, except page addresses. */
export function guessColumns(names: readonly string[]): ColumnField[] {
  const taken = new Set<ColumnField>();
  return names.map((name) => {
    const field = byHeading.get(fold(name).replaceAll(/[^\p{L}\p{N}]/gu, '')) ?? 'ignore';
    if (field === 'ignore' || taken.has(field)) return 'ignore';
    taken.add(field);
    return field;
  });
}

/** Why a mapping cannot name people, or null when it can. */
export function mappingFault(mapping: readonly ColumnField[]): string | null {
  const has = (field: ColumnField) => mapping.includes(field);
  if (has('person')) return null;
  if (!has('name') && !has('lastName') && !has('firstName'))
    return 'No column holds names. Choose which column is the name, or the first and last name.';
  const twice = mapping.find((field, i) => field !== 'ignore' && field !== 'url' && mapping.indexOf(field) !== i);
  return twice ? `Two columns are both “${columnFields[twice]}”. Leave one of them out.` : null;
}
