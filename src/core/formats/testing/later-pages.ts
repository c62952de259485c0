import type { PageField } from '../page-fields';

// Result pages written after the code that reads them: makes of pages, each in three languages, with invented people.

export type Expected = Partial<Record<PageField, string>>;
interface Person {
  name: string;
  title: string;
  company: string;
  town: string;
  country: string;
}
/** What pages of a language say: at, title, firm, town, and what is on buttons. */
interface Words {
  at: string;
  name: string;
  title: string;
  firm: string;
  town: string;
  save: string;
  more: string;
  results: string;
}

const people = (country: string, rows: string): Person[] =>
  rows
    .trim()
    .split('\n')
    .map((row) => {
      const [name, title, company, town] = row.split('|').map((cell) => cell.trim());
      return { name: name!, title: title!, company: company!, town: town!, country };
    });
const words = (row: string): Words => {
  const [at, name, title, firm, town, save, more, results] = row.split('|').map((cell) => cell.trim());
  return { at, name, title, firm, town, save, more, results } as Words;
};

const packs: Record<string, { people: Person[]; words: Words }> = {
  en: {
    words: words('at|Name|Job title|Company|City|Save|View profile|42 results'),
    people: people(
      'United Kingdom',
      `Harriet Ashdown | Facilities Manager | Quarrybank Estates Ltd | Leeds
Owen Tredgold | Head of Procurement | Marlpit Foods plc | Bristol
Priya Nandakumar | Data Protection Officer | Fernholt Insurance | Norwich
Callum Reekie | Site Manager | Dunlarrick Construction | Perth
Megan Foxcroft | Dental Practice Manager | Elmhurst Dental Care | Derby`
    )
  },
  es: {
    words: words('en|Nombre|Cargo|Empresa|Ciudad|Guardar|Ver perfil|42 resultados'),
    people: people(
      'España',
      `Lucía Ferrer Montaño | Directora de Compras | Alimentos Serranía S.A. | Sevilla
Andrés Quintela Rey | Jefe de Mantenimiento | Hoteles Bahía Clara | Vigo
Núria Casals Puig | Responsable de Calidad | Frutas del Delta S.L. | Tarragona
Gonzalo Arrieta | Jefe de Obra | Construcciones Ebroval | Zaragoza
Marta Olmedo Gil | Directora Financiera | Seguros Peñalba | Valladolid`
    )
  },
  pt: {
    words: words('na|Nome|Cargo|Empresa|Cidade|Guardar|Ver perfil|42 resultados'),
    people: people(
      'Portugal',
      `Inês Carvalhal | Diretora de Operações | Hotéis Foz Azul | Porto
Tiago Mourão | Gestor de Frota | Transportes Serra Fria Lda | Braga
Beatriz Lousada | Responsável de Qualidade | Conservas da Ria | Aveiro
Duarte Penaforte | Diretor Comercial | Vinhas do Marão S.A. | Vila Real
Filipa Rebordão | Chefe de Cozinha | Pousada do Cabo | Faro`
    )
  },
  it: {
    words: words('presso|Nome|Ruolo|Azienda|Città|Salva|Vedi profilo|42 risultati'),
    people: people(
      'Italia',
      `Chiara Bonfante | Responsabile Qualità | Caseificio Valdoro S.p.A. | Parma
Matteo Lazzarin | Direttore di Stabilimento | Ceramiche Torralta | Modena
Elisa Monteverdi | Responsabile Acquisti | Grandi Cucine Lario S.r.l. | Como
Davide Scarpellini | Capocantiere | Edilnova Bergamo | Bergamo
Giulia Ferranti | Direttrice Commerciale | Alberghi Riva Blu | Rimini`
    )
  },
  de: {
    words: words('bei|Name|Position|Unternehmen|Ort|Merken|Profil ansehen|42 Treffer'),
    people: people(
      'Deutschland',
      `Katrin Wiesenhofer | Leiterin Einkauf | Nordkorn Mühlen GmbH | Kassel
Jonas Brückmeier | Werkleiter | Altmark Guss AG | Stendal
Sabine Oehlert | Datenschutzbeauftragte | Hansaria Versicherung | Bremen
Torben Lückhoff | Bauleiter | Weserbau GmbH | Hameln
Ulrike Steinfurth | Pflegedienstleiterin | Klinikum Eichtal | Göttingen`
    )
  },
  fr: {
    words: words('chez|Nom|Fonction|Société|Ville|Enregistrer|Voir le profil|42 résultats'),
    people: people(
      'France',
      `Camille Rochebrune | Directrice des Achats | Laiteries du Vercors | Grenoble
Bastien Loriol | Responsable Maintenance | Verreries Montclar SA | Reims
Hélène Vasseur | Responsable Qualité | Biscuiterie Kerlann | Quimper
Thibault Garnaud | Chef de Chantier | Batiloire SAS | Tours
Anaïs Delcourt | Directrice Financière | Assurances Beauval | Lille`
    )
  },
  nl: {
    words: words('bij|Naam|Functie|Bedrijf|Plaats|Bewaren|Bekijk profiel|42 resultaten'),
    people: people(
      'Nederland',
      `Femke Oosterwijk | Hoofd Inkoop | Zuivelhof BV | Zwolle
Ruben van Halteren | Facilitair Manager | Waterpoort Vastgoed | Delft
Lotte Brandsma | Kwaliteitsmanager | Bakkerij Ommeland | Assen
Sander Kuipwaard | Uitvoerder | Bouwgroep Rijnstate | Arnhem
Iris Terpstra | Financieel directeur | Polderzorg | Almere`
    )
  },
  da: {
    words: words('hos|Navn|Stilling|Virksomhed|By|Gem|Se profil|42 resultater'),
    people: people(
      'Danmark',
      `Mette Overskov | Indkøbschef | Limfjord Mejeri A/S | Aalborg
Rasmus Thorhauge | Driftschef | Østersø Hoteller | Rønne
Karen Vindfelt | Kvalitetschef | Bjergsted Bryggeri | Kalundborg
Jeppe Lundtofte | Byggeleder | Fjordbyg ApS | Vejle
Signe Haldrup | Økonomichef | Sundvang Forsikring | Roskilde`
    )
  },
  pl: {
    words: words('w|Imię i nazwisko|Stanowisko|Firma|Miasto|Zapisz|Zobacz profil|42 wyniki'),
    people: people(
      'Polska',
      `Agnieszka Wronowska | Kierownik Zakupów | Mleczarnia Nadbuże Sp. z o.o. | Lublin
Marek Zalewicz | Dyrektor Operacyjny | Hotele Bursztyn | Gdynia
Joanna Kostrzyn | Kierownik Jakości | Piekarnie Warta S.A. | Poznań
Paweł Grodecki | Kierownik Budowy | Budomex Śląsk | Katowice
Ewa Turoszczyk | Dyrektor Finansowy | Ubezpieczenia Dąb | Łódź`
    )
  },
  sv: {
    words: words('på|Namn|Titel|Företag|Ort|Spara|Visa profil|42 träffar'),
    people: people(
      'Sverige',
      `Elin Hagström | Inköpschef | Norrdala Mejeri AB | Umeå
Viktor Almqvist | Platschef | Byggsund AB | Kalmar
Maja Wikland | Kvalitetschef | Västervik Bröd | Västerås
Oskar Lindeblad | Fastighetschef | Mälarhus Fastigheter | Eskilstuna
Hanna Brorsdotter | Ekonomichef | Sydkraft Försäkring | Malmö`
    )
  }
};

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll('ø', 'o')
    .replaceAll('ł', 'l')
    .toLowerCase()
    .replaceAll(/[^a-z]+/g, '');
const mailOf = ({ name, company }: Person) => `${plain(name.split(' ')[0]!)}@${plain(company).slice(0, 14)}.example`;
const phoneOf = (i: number) => `+44 20 7946 0${String(120 + i * 7)}`;

type Make = (all: readonly Person[], words: Words) => { text: string; fields: PageField[] };
const each = (all: readonly Person[], block: (person: Person, i: number) => string, between = '\n\n') =>
  all.map(block).join(between);

const makes: Record<string, Make> = {
  'the title above the name': (all, w) => ({
    text: `${w.results}\n\n${each(all, (p) => `${p.title}\n${p.name}\n${p.company}\n${p.town}\n${w.more}`)}`,
    fields: ['name', 'title', 'company', 'place']
  }),
  'title at firm': (all, w) => ({
    text: each(all, (p) => `${p.name}\n${p.title} ${w.at} ${p.company}\n${p.town}, ${p.country}\n${w.save}\n${w.more}`),
    fields: ['name', 'title', 'company', 'place']
  }),
  'badges around names': (all, w) => ({
    text: each(
      all,
      (p, i) => `${p.name}\n2nd\n★ 4.${i + 3}\n${p.title}\n${p.company} · ${p.town}\n${w.save}   ${w.more}`
    ),
    fields: ['name', 'title', 'company', 'place']
  }),
  'labels in a column': (all, w) => ({
    text: each(
      all,
      (p) => `${w.name}\t${p.name}\n${w.title}\t${p.title}\n${w.firm}\t${p.company}\n${w.town}\t${p.town}`
    ),
    fields: ['name', 'title', 'company', 'place']
  }),
  'a table with bars': (all, w) => ({
    text: `| ${w.name} | ${w.title} | ${w.firm} | ${w.town} |\n|---|---|---|---|\n${each(all, (p) => `| ${p.name} | ${p.title} | ${p.company} | ${p.town} |`, '\n')}`,
    fields: ['name', 'title', 'company', 'place']
  }),
  'the firm first': (all) => ({
    text: each(all, (p) => `${p.company} — ${p.name} (${p.title})`, '\n'),
    fields: ['name', 'title', 'company']
  }),
  'numbers with brackets': (all) => ({
    text: each(all, (p, i) => `${i + 1}) ${p.name}, ${p.title}, ${p.company}, ${p.town}`, '\n'),
    fields: ['name', 'title', 'company', 'place']
  }),
  signatures: (all) => ({
    text: each(all, (p, i) => `${p.name}\n${p.title}\n${p.company}\nT: ${phoneOf(i)}\nE: ${mailOf(p)}`),
    fields: ['name', 'title', 'company', 'phone', 'mail']
  }),
  snippets: (all, w) => ({
    text: `${w.results}\n\n${each(all, (p) => `${p.name} – ${p.title} – ${p.company}\nhttps://leute.example/p/${plain(p.name)}\n${p.town}, ${p.country}. ${p.company}. 3 …`)}`,
    fields: ['name', 'title', 'company', 'place', 'url']
  }),
  'tabs, and no firm': (all, w) => ({
    text: `${w.name}\t${w.title}\t${w.town}\n${each(all, (p) => `${p.name}\t${p.title}\t${p.town}`, '\n')}`,
    fields: ['name', 'title', 'place']
  }),
  'quoted commas': (all, w) => ({
    text: `"${w.name}","${w.title}","${w.firm}","E-mail"\n${each(all, (p) => `"${p.name}","${p.title}","${p.company}","${mailOf(p)}"`, '\n')}`,
    fields: ['name', 'title', 'company', 'mail']
  }),
  'labels in a line': (all, w) => ({
    text: each(all, (p) => `${p.name}\n${w.title}: ${p.title} · ${w.firm}: ${p.company} · ${w.town}: ${p.town}`),
    fields: ['name', 'title', 'company', 'place']
  }),
  'a team page': (all) => ({
    text: each(all, (p, i) => `${p.name}\n${p.title}\n${mailOf(p)}\n${phoneOf(i)}`),
    fields: ['name', 'title', 'mail', 'phone']
  }),
  'who comes to a conference': (all) => ({
    text: each(all, (p) => `${p.name} (${p.company}) — ${p.title}`, '\n'),
    fields: ['name', 'title', 'company']
  }),
  'buttons before the name': (all, w) => ({
    text: each(all, (p) => `${w.save}\n${p.name}\n${p.title}\n${p.company}\n${p.town}, ${p.country}`),
    fields: ['name', 'title', 'company', 'place']
  }),
  'a list with bold names': (all) => ({
    text: each(all, (p) => `- **${p.name}**, ${p.title}, *${p.company}*`, '\n'),
    fields: ['name', 'title', 'company']
  }),
  'a network': (all, w) => ({
    text: each(
      all,
      (p) => `${p.name}\n${p.title} @ ${p.company}\n${p.town}, ${p.country}\n500+ contacts\n${w.more}\n${w.save}`
    ),
    fields: ['name', 'title', 'company', 'place']
  }),
  'semicolons without a heading': (all) => ({
    text: each(all, (p) => `${p.name}; ${p.title}; ${p.company}; ${mailOf(p)}`, '\n'),
    fields: ['name', 'title', 'company', 'mail']
  }),
  'a ranked table': (all, w) => ({
    text: `#\t${w.name}\t${w.firm}\t${w.title}\n${each(all, (p, i) => `${i + 1}\t${p.name}\t${p.company}\t${p.title}`, '\n')}`,
    fields: ['name', 'title', 'company']
  }),
  'bars between': (all) => ({
    text: each(all, (p) => `${p.name} | ${p.title} | ${p.company} | ${p.town}`, '\n'),
    fields: ['name', 'title', 'company', 'place']
  }),
  'names with links': (all, w) => ({
    text: each(
      all,
      (p) => `${p.name}\nhttps://kontakte.example/${plain(p.name)}\n${p.title}\n${p.company}\n${p.town}\n${w.more}`
    ),
    fields: ['name', 'title', 'company', 'place', 'url']
  }),
  'mail in words': (all) => ({
    text: each(
      all,
      (p) => `${p.name}\n${p.title}, ${p.company}\n${mailOf(p).replace('@', ' (at) ').replaceAll('.', ' (dot) ')}`
    ),
    fields: ['name', 'title', 'company', 'mail']
  })
};

export interface LaterPage {
  make: string;
  language: string;
  text: string;
  expected: Expected[];
}

const languages = Object.keys(packs);

/** The pages: each make in three of the languages, in turn. */
export const laterPages: readonly LaterPage[] = Object.entries(makes).flatMap(([make, write], i) =>
  [0, 1, 2].map((step) => {
    const language = languages[(i * 3 + step) % languages.length]!;
    const { people: all, words: said } = packs[language]!;
    const { text, fields } = write(all, said);
    const expected = all.map((person, at) => {
      const received: Record<PageField, string> = {
        name: person.name,
        title: person.title,
        company: person.company,
        place: person.town,
        mail: mailOf(person),
        phone: phoneOf(at),
        url: text.match(new RegExp(`https://\\S+/${plain(person.name)}`))?.[0] ?? ''
      };
      return Object.fromEntries(fields.map((field) => [field, received[field]])) as Expected;
    });
    return { make, language, text, expected };
  })
);
