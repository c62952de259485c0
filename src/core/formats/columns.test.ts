import { describe, expect, it } from 'vitest';
import { guessColumns } from './columns';
import { readMonth } from './read-month';

/** Headings of files in the languages of the lexicon, by the field that they are. */
const headings = {
  firstName:
    'First Name; Contact First Name; Fornavn; Förnamn; Voornaam; Vorname; Prénom; PRENOM; Nome próprio; Imię; Etunimi; Křestní jméno',
  lastName:
    'Surname; Last name; Efternavn; Etternavn; Efternamn; Achternaam; Nachname; Apellidos; Cognome; Sobrenome; Nazwisko; Sukunimi; Příjmení',
  name: 'Full Name; Contact Person; Fulde navn; Kontaktperson; Ansprechpartner; Nom complet; Nombre y apellidos; Nome completo; Imię i nazwisko; Koko nimi; Jméno a příjmení; Nome e cognome',
  title:
    'Job-Title; Position held; Contact Title; Stilling; Stillingsbetegnelse; Befattning; Functie; Fonction; Intitulé du poste; Puesto; PUESTO DE TRABAJO; Cargo; Ruolo; Stanowisko; Tehtävänimike; Pozice; Berufsbezeichnung; Titel',
  company:
    'Company; Employer; Organisation; Firma; Virksomhed; Selskap; Selskab; Företag; FÖRETAG; Bedrijf; Société; Raison sociale; Unternehmen; Arbeitgeber; Empresa; Razón Social; Azienda; Ragione sociale; Nazwa firmy; Yritys; Společnost; Zaměstnavatel',
  mail: 'E-mail; Email address; Work Email; E-post; E-postadress; Courriel; Correo electrónico; Posta elettronica; Sähköposti; E-Mail-Adresse; Correio eletrónico; Adres e-mail',
  phone:
    'Phone; Mobile; Telefon; Telefonnummer; Téléphone; Teléfono; Telefone; Telemóvel; Cellulare; Numer telefonu; Puhelin; Handy; Durchwahl; Mobil',
  place:
    'City; Location; Ort; Stad; Ville; Ciudad; Localidad; Cidade; Città; Miasto; Kaupunki; Město; Poststed; Plaats; Standort',
  country: 'Country; PAÍS; Land; Pays; Paese; Kraj; Maa; Země; Landekode; Pais; Nazione; Staat',
  industry:
    'Industry; Branche; Bransch; Sector; Secteur d’activité; Toimiala; Odvětví; Branża; Settore; Setor; Wirtschaftszweig',
  headcount:
    'Employees; Company Size; No. of employees; Antal ansatte; Anställda; Aantal medewerkers; Effectif; Mitarbeiterzahl; Empleados; Número de empleados; Dipendenti; Liczba pracowników; Henkilöstö; Počet zaměstnanců; Funcionários',
  jobFrom:
    'Start date; Since; Startdato; Seit; Fecha de inicio; Desde; Depuis; Data inizio; Data rozpoczęcia; Datum nástupu',
  founded:
    'Year founded; Grundlagt; Gründungsjahr; Année de création; Año de fundación; Anno di fondazione; Rok założenia',
  url: 'Website; Profile URL; Hjemmeside; Webbplats; Site web; Página web; Sito web; Strona WWW; Kotisivu; Webové stránky',
  rank: 'Seniority; Level; Niveau hiérarchique; Nivel; Livello',
  function: 'Department; Afdeling; Abteilung; Avdelning; Departamento; Reparto; Osasto',
  about: 'Summary; Bio; Beschreibung; Descripción; Opis; Kuvaus',
  skills: 'Skills; Kompetencer; Compétences; Kenntnisse; Habilidades; Taidot',
  school: 'Education; Uddannelse; Ausbildung; Universidad; Vzdělání'
} as const;
const all = Object.entries(headings).flatMap(([field, names]) =>
  names.split('; ').map((name) => [name, field] as const)
);

describe('headings', () => {
  it('are known in the languages of the lexicon, however they are written', () => {
    expect(all.length).toBeGreaterThanOrEqual(150);
    // Each beside a name, as half a name alone is taken for a whole one.
    const wrong = all.filter(([name, field]) => {
      const beside = field === 'firstName' ? 'Surname' : field === 'lastName' ? 'First name' : '';
      return guessColumns([name, beside])[0] !== field;
    });
    expect(wrong).toEqual([]);
  });

  it('may have words around them, and give no field twice', () => {
    expect(guessColumns(['Contact: E-mail (work)', 'Contact: Name', 'Firma [Kunde]', 'E-mail'])).toEqual([
      'mail',
      'name',
      'company',
      'ignore'
    ]);
  });

  it('of half a name are a whole one where they stand alone', () => {
    expect(guessColumns(['Nom', 'Poste'])).toEqual(['name', 'title']);
    expect(guessColumns(['Nom', 'Prénom'])).toEqual(['lastName', 'firstName']);
    expect(guessColumns(['Nombre', 'Apellidos', 'Empresa'])).toEqual(['firstName', 'lastName', 'company']);
    expect(guessColumns(['First name'])).toEqual(['firstName']);
  });

  it('give way to what is in the column where that is beyond doubt, and are not needed', () => {
    const cells = [
      ['marta@brisa.example', 'iker@costa.example', ''],
      ['Espagne', 'ES', 'Portugal'],
      ['50-249', '10–49', '250-999'],
      ['+34 971 00 11 22', '0034 600 112 233', ''],
      ['Marta Oliver', 'Iker Sanz', 'Ana Reis']
    ];
    expect(guessColumns(['Contact', 'Col2', 'Col3', 'Col4', 'Persona de contacto'], cells)).toEqual([
      'mail',
      'country',
      'headcount',
      'phone',
      'name'
    ]);
  });
});

describe('the month of a date', () => {
  it.each([
    ['2021-03', '2021-03'],
    ['2021-03-15', '2021-03'],
    ['2021/3', '2021-03'],
    ['03/2021', '2021-03'],
    ['15.03.2021', '2021-03'],
    ['15/03/2021', '2021-03'],
    ['March 2021', '2021-03'],
    ['mars 2021', '2021-03'],
    ['Mar. 2021', '2021-03'],
    ['15 de marzo de 2021', '2021-03'],
    ['2021', '2021'],
    ['prosinec 2019', '2019-12'],
    ['2021-13', null],
    ['31/31/2020', null],
    ['soon', null],
    ['1', null],
    ['99', null]
  ])('%j is %j', (text, month) => expect(readMonth(text)).toBe(month));
});
