export type Language = 'en' | 'de' | 'nl' | 'da' | 'sv' | 'no' | 'fr';

/** A country of the demo world. Towns, given names and the pieces of surnames are invented or ordinary words. */
export interface WorldCountry {
  code: string;
  share: number;
  languages: readonly Language[];
  towns: readonly string[];
  legal: readonly string[];
  given: readonly string[];
  surname: readonly [readonly string[], readonly string[]];
}

const germanic = [
  'Nord',
  'Sten',
  'Lind',
  'Berg',
  'Hav',
  'Sund',
  'Ravn',
  'Ege',
  'Birke',
  'Falke',
  'Klint',
  'Mose',
  'Skov',
  'Torn',
  'Ulve',
  'Vest',
  'Hassel',
  'Kvist'
];

export const worldCountries: readonly WorldCountry[] = [
  {
    code: 'DK',
    share: 13,
    languages: ['da', 'da', 'en'],
    towns: ['Aarhus', 'Odense', 'Kolding', 'Køge', 'Aalborg', 'Vejle'],
    legal: ['A/S', 'ApS'],
    given: [
      'Signe',
      'Jonas',
      'Freja',
      'Asger',
      'Birte',
      'Torben',
      'Mette',
      'Rasmus',
      'Liv',
      'Holger',
      'Astrid',
      'Emil'
    ],
    surname: [germanic, ['gaard', 'lund', 'holt', 'bæk', 'strup', 'dal', 'høj', 'toft']]
  },
  {
    code: 'SE',
    share: 14,
    languages: ['sv', 'sv', 'en'],
    towns: ['Malmö', 'Göteborg', 'Lund', 'Örebro', 'Uppsala', 'Kalmar'],
    legal: ['AB'],
    given: ['Freya', 'Leif', 'Oskar', 'Elsa', 'Gunnar', 'Tuva', 'Alva', 'Sixten', 'Ebba', 'Axel', 'Maj', 'Nils'],
    surname: [germanic, ['ström', 'dahl', 'kvist', 'gren', 'hult', 'löv', 'näs', 'fors']]
  },
  {
    code: 'NO',
    share: 9,
    languages: ['no', 'no', 'en'],
    towns: ['Bergen', 'Stavanger', 'Drammen', 'Ålesund', 'Tromsø', 'Hamar'],
    legal: ['AS'],
    given: ['Solveig', 'Eirik', 'Ingrid', 'Sindre', 'Ragna', 'Tor', 'Vilde', 'Odd', 'Sunniva', 'Håkon', 'Live', 'Are'],
    surname: [germanic, ['vik', 'nes', 'haugen', 'moen', 'stad', 'fjell', 'øy', 'lien']]
  },
  {
    code: 'NL',
    share: 14,
    languages: ['nl', 'nl', 'en'],
    towns: ['Utrecht', 'Tilburg', 'Venlo', 'Breda', 'Zwolle', 'Delft'],
    legal: ['B.V.', 'N.V.'],
    given: ['Sanne', 'Bram', 'Femke', 'Joost', 'Maaike', 'Ruben', 'Lotte', 'Sjoerd', 'Anouk', 'Thijs', 'Marit', 'Wout'],
    surname: [
      ['Brand', 'Veld', 'Water', 'Molen', 'Hout', 'Zand', 'Dijk', 'Bos', 'Duin', 'Klaver', 'Linden', 'Wijn'],
      ['sma', 'rick', 'kamp', 'ing', 'stra', 'meer', 'hoven', 'zicht']
    ]
  },
  {
    code: 'BE',
    share: 8,
    languages: ['nl', 'fr', 'en'],
    towns: ['Gent', 'Liège', 'Leuven', 'Namur', 'Kortrijk', 'Antwerpen'],
    legal: ['NV', 'SA', 'BV'],
    given: ['Cas', 'Elise', 'Lukas', 'Noor', 'Tibo', 'Marie', 'Wannes', 'Julie', 'Pieter', 'Camille', 'Lore', 'Arthur'],
    surname: [
      ['Verm', 'Des', 'Brouw', 'Dew', 'Lam', 'Meul', 'Van Hout', 'Claer', 'Roes'],
      ['aelen', 'eyne', 'ers', 'inck', 'bert', 'oort', 'helst']
    ]
  },
  {
    code: 'DE',
    share: 18,
    languages: ['de', 'de', 'en'],
    towns: ['Hamburg', 'Bremen', 'Kassel', 'Leipzig', 'Münster', 'Köln'],
    legal: ['GmbH', 'AG', 'GmbH & Co. KG'],
    given: [
      'Petra',
      'Jürgen',
      'Anke',
      'Matthias',
      'Greta',
      'Uwe',
      'Birgit',
      'Lennart',
      'Heike',
      'Rolf',
      'Marlene',
      'Till'
    ],
    surname: [
      ['Hohn', 'Sol', 'Eich', 'Wolken', 'Stein', 'Linden', 'Brock', 'Grün', 'Falken', 'Moor', 'Reit', 'Winter'],
      ['stein', 'ms', 'mann', 'bach', 'brink', 'feld', 'hagen', 'horst']
    ]
  },
  {
    code: 'GB',
    share: 14,
    languages: ['en'],
    towns: ['Leeds', 'Bristol', 'Derby', 'Glasgow', 'Cardiff', 'Hull'],
    legal: ['Ltd', 'plc'],
    given: ['Tom', 'Harriet', 'Callum', 'Priya', 'Gwen', 'Isaac', 'Maisie', 'Rory', 'Edith', 'Kofi', 'Nell', 'Owen'],
    surname: [
      ['Ash', 'Thorn', 'Pem', 'Wether', 'Hollow', 'Brack', 'Fen', 'Quill', 'Marsh', 'Oak', 'Elder', 'Sedge'],
      ['grove', 'bury', 'combe', 'by', 'wick', 'ford', 'stead', 'ley']
    ]
  },
  {
    code: 'IE',
    share: 4,
    languages: ['en'],
    towns: ['Cork', 'Galway', 'Limerick', 'Sligo', 'Athlone'],
    legal: ['Ltd', 'DAC'],
    given: ['Eoin', 'Oona', 'Cormac', 'Aoife', 'Fintan', 'Niamh', 'Declan', 'Sorcha', 'Ronan', 'Maeve'],
    surname: [
      ['Kil', 'Car', 'Dun', 'Mul', 'Bally', 'Glen', 'Ros', 'Tul'],
      ['bride', 'rick', 'more', 'carrow', 'lane', 'garvan', 'shee']
    ]
  },
  {
    code: 'FR',
    share: 6,
    languages: ['fr', 'fr', 'en'],
    towns: ['Lille', 'Rouen', 'Nantes', 'Reims', 'Amiens', 'Rennes'],
    legal: ['SAS', 'SARL', 'SA'],
    given: ['Élodie', 'Bastien', 'Manon', 'Gaël', 'Clémence', 'Yann', 'Solène', 'Loïc', 'Agathe', 'Rémi'],
    surname: [
      ['Beau', 'Char', 'Mont', 'Val', 'Roche', 'Font', 'Clair', 'Grand', 'Prés'],
      ['mont', 'lier', 'court', 'neau', 'rive', 'vallon', 'bois']
    ]
  }
];

/** First parts of firms' names. */
export const firmNames = [
  'Nordfjeld',
  'Halvor',
  'Kestrel',
  'Brindle',
  'Sundholm',
  'Averby',
  'Tarnwick',
  'Polderland',
  'Wexmoor',
  'Lysholt',
  'Grenvik',
  'Marlowe Vale',
  'Ostrand',
  'Fjordvang',
  'Hollin',
  'Rosenklint',
  'Staveley',
  'Drumlin',
  'Kvarnby',
  'Eskelund',
  'Bruyneland',
  'Oldenmark',
  'Saltmere',
  'Vintrup',
  'Corrigan Bay',
  'Dunmarrow',
  'Petit-Havre',
  'Valbrume',
  'Noordkade',
  'Zuiderhof',
  'Elbtal',
  'Weserland',
  'Taunusblick',
  'Skagerrak',
  'Bjerring',
  'Hestvik',
  'Ormskär',
  'Lindvalla',
  'Ardmoy',
  'Finnbrook',
  'Cairnhill',
  'Pennant',
  'Severnside',
  'Tidemark',
  'Brackwater',
  'Hollandia Nova',
  'Maasoever',
  'Scheldekaai',
  'Ardenrive',
  'Clairval'
] as const;
