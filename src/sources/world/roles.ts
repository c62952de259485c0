import type { Language } from './countries';

export type Rank = 'owner' | 'chief' | 'director' | 'head' | 'manager' | 'lead' | 'specialist' | 'assistant' | 'intern';

/** A kind of job in the demo world with the ways people write it. English stands in where a language is missing. */
export interface Role {
  function: string;
  rank: Rank;
  /** Trades that have it, with a weight each; `*` is any other trade. */
  trades: Readonly<Record<string, number>>;
  titles: Readonly<Partial<Record<Language, readonly string[]>>> & { en: readonly string[] };
  /** What such a person writes of the work. */
  says: readonly string[];
  skills: readonly string[];
}

const goods = { 'pharma-wholesale': 6, 'chilled-food': 5, 'cold-logistics': 4, 'pharma-maker': 4, 'food-maker': 4 };
const pharma = { 'pharma-wholesale': 8, 'pharma-maker': 3, 'cold-logistics': 1 };

export const roles: readonly Role[] = [
  {
    function: 'quality',
    rank: 'head',
    trades: { ...goods, restaurants: 1, machinery: 1 },
    titles: {
      en: [
        'Head of Quality',
        'Head of Quality Assurance',
        'Head of QA',
        'Head of Quality & Compliance',
        'Quality Lead (site)'
      ],
      de: ['Leiter Qualität', 'Leiterin Qualitätssicherung', 'Leiter Qualitätsmanagement', 'Leitung QS'],
      nl: ['Hoofd Kwaliteit', 'Hoofd Kwaliteitszorg', 'Head of Quality'],
      da: ['Kvalitetschef', 'Head of Quality', 'Kvalitetschef / QA'],
      sv: ['Kvalitetschef', 'Chef kvalitet', 'Head of Quality'],
      no: ['Kvalitetssjef', 'Leder kvalitet', 'Head of Quality'],
      fr: ['Responsable Qualité', 'Responsable Assurance Qualité', 'Chef du service qualité']
    },
    says: [
      'I answer for quality and for every deviation that is opened and closed.',
      'Audits, CAPA and suppliers; my team keeps the temperature records straight.',
      'Good distribution practice is my daily bread, from the dock to the last mile.'
    ],
    skills: ['GDP', 'CAPA', 'cold chain', 'audits', 'deviation handling', 'temperature mapping', 'HACCP']
  },
  {
    function: 'quality',
    rank: 'manager',
    trades: { ...goods, machinery: 2, restaurants: 1, retail: 1 },
    titles: {
      en: [
        'Quality Manager',
        'Senior Quality Manager',
        'Quality Assurance Manager',
        'QA Manager',
        'Manager, Quality',
        'QHSE & Quality Manager',
        'Quality Manager 🚚❄️'
      ],
      de: ['Qualitätsmanager', 'Qualitätsmanagerin', 'QM-Beauftragter', 'QA Manager'],
      nl: ['Kwaliteitsmanager', 'Manager Kwaliteit', 'QA Manager'],
      da: ['Kvalitetsleder', 'QA Manager', 'Quality Manager'],
      sv: ['Kvalitetsansvarig', 'QA Manager', 'Quality Manager'],
      no: ['Kvalitetsleder', 'QA-leder', 'Quality Manager'],
      fr: ['Manager Qualité', 'Responsable QSE', 'Quality Manager']
    },
    says: [
      'Every pallet has a temperature story and I read it.',
      'I keep the quality system alive: training, audits, deviations, change control.',
      'Cold chain, calibration and complaints, in that order.'
    ],
    skills: ['quality management', 'ISO 9001', 'cold chain', 'calibration', 'HACCP', 'GDP', 'data loggers']
  },
  {
    function: 'quality',
    rank: 'director',
    trades: { ...goods },
    titles: {
      en: ['Quality Director', 'Director of Quality', 'Director Quality & Regulatory', 'VP Quality'],
      de: ['Direktor Qualität', 'Bereichsleiter Qualität'],
      nl: ['Directeur Kwaliteit', 'Quality Director'],
      da: ['Kvalitetsdirektør', 'Quality Director'],
      sv: ['Kvalitetsdirektör', 'Quality Director'],
      no: ['Kvalitetsdirektør', 'Quality Director'],
      fr: ['Directeur Qualité', 'Directrice Qualité']
    },
    says: [
      'I lead quality across all sites and sit on the board of the firm.',
      'Compliance that helps the night shift, not only the auditor.'
    ],
    skills: ['leadership', 'GDP', 'GMP', 'cold chain', 'regulatory affairs']
  },
  {
    function: 'compliance',
    rank: 'manager',
    trades: pharma,
    titles: {
      en: [
        'Responsible Person (RP)',
        'Responsible Person GDP',
        'RP / Quality Manager',
        'Deputy Responsible Person',
        'GDP Compliance Manager'
      ],
      de: ['Großhandelsbeauftragter', 'Verantwortliche Person (GDP)', 'Großhandelsbeauftragte'],
      nl: ['Verantwoordelijke Persoon GDP', 'Responsible Person'],
      da: ['Fagansvarlig (RP)', 'Responsible Person'],
      sv: ['Sakkunnig GDP', 'Responsible Person'],
      no: ['Faglig ansvarlig (RP)', 'Responsible Person'],
      fr: ['Pharmacien Responsable', 'Personne Responsable BPD']
    },
    says: [
      'Named on the wholesale licence as responsible person; good distribution practice in every lane.',
      'Licence, release, recall: the authority calls me first.'
    ],
    skills: ['GDP', 'good distribution practice', 'wholesale licence', 'recall', 'cold chain']
  },
  {
    function: 'quality',
    rank: 'specialist',
    trades: { ...goods, machinery: 3, hospital: 1 },
    titles: {
      en: ['Quality Specialist', 'QA Specialist', 'Quality Coordinator', 'Quality Engineer', 'QA Associate'],
      de: ['Mitarbeiter Qualitätssicherung', 'QS-Techniker'],
      nl: ['Kwaliteitsmedewerker', 'QA Specialist'],
      da: ['Kvalitetsmedarbejder', 'QA-specialist'],
      sv: ['Kvalitetstekniker', 'QA-specialist'],
      no: ['Kvalitetsmedarbeider', 'QA-spesialist'],
      fr: ['Technicien Qualité', 'Chargé de qualité']
    },
    says: [
      'I read loggers, write deviations and walk the cold store.',
      'Samples, records and training for the quality team.'
    ],
    skills: ['sampling', 'documentation', 'HACCP', 'temperature monitoring']
  },
  {
    function: 'quality',
    rank: 'intern',
    trades: { 'pharma-wholesale': 1, 'food-maker': 1, 'pharma-maker': 1 },
    titles: { en: ['Quality Intern', 'QA Working Student', 'Trainee Quality Assurance'] },
    says: ['Learning how a quality system works, one checklist at a time.'],
    skills: ['spreadsheets', 'documentation']
  },
  {
    function: 'logistics',
    rank: 'manager',
    trades: {
      'pharma-wholesale': 4,
      'chilled-food': 6,
      'cold-logistics': 8,
      'food-maker': 3,
      retail: 3,
      machinery: 2,
      '*': 0.4
    },
    titles: {
      en: [
        'Logistics Manager',
        'Supply Chain Manager',
        'Cold Chain Manager',
        'Transport Manager',
        'Distribution Manager'
      ],
      de: ['Leiter Logistik', 'Logistikleiter', 'Fuhrparkleiter'],
      nl: ['Logistiek Manager', 'Manager Distributie'],
      da: ['Logistikchef', 'Transportchef'],
      sv: ['Logistikchef', 'Transportchef'],
      no: ['Logistikksjef', 'Transportleder'],
      fr: ['Responsable Logistique', 'Responsable Transport']
    },
    says: ['Trucks, lanes and cold chain from Jutland to Brittany.', 'I run the supply chain and argue with ferries.'],
    skills: ['supply chain', 'route planning', 'cold chain', 'fleet']
  },
  {
    function: 'warehouse',
    rank: 'manager',
    trades: { 'pharma-wholesale': 4, 'chilled-food': 5, 'cold-logistics': 7, retail: 4, machinery: 1 },
    titles: {
      en: ['Warehouse Manager', 'Site Manager', 'Shift Manager'],
      de: ['Lagerleiter'],
      nl: ['Magazijnchef'],
      da: ['Lagerchef'],
      sv: ['Lagerchef'],
      no: ['Lagersjef'],
      fr: ["Chef d'entrepôt"]
    },
    says: ['A cold store that never sleeps.', 'Picking, packing and people.'],
    skills: ['warehouse', 'forklift', 'planning']
  },
  {
    function: 'warehouse',
    rank: 'assistant',
    trades: { 'pharma-wholesale': 8, 'chilled-food': 11, 'cold-logistics': 14, retail: 6 },
    titles: {
      en: ['Warehouse Operative', 'Picker', 'Driver', 'Chilled Goods Handler'],
      de: ['Lagerist', 'Fahrer'],
      nl: ['Magazijnmedewerker'],
      da: ['Lagermedarbejder', 'Chauffør'],
      sv: ['Lagerarbetare'],
      no: ['Lagermedarbeider'],
      fr: ['Préparateur de commandes']
    },
    says: ['Night shift in the cold, and proud of it.'],
    skills: ['forklift', 'scanning']
  },
  {
    function: 'software testing',
    rank: 'specialist',
    trades: { software: 9, finance: 1, retail: 0.6 },
    titles: {
      en: [
        'QA Engineer',
        'Senior QA Engineer',
        'QA Tester',
        'Test Engineer',
        'QA Automation Engineer',
        'Quality Engineer, Platform'
      ]
    },
    says: ['I break software before users do.', 'Test automation, regressions and release trains.'],
    skills: ['test automation', 'QA', 'regression testing', 'scripting', 'software quality']
  },
  {
    function: 'software testing',
    rank: 'lead',
    trades: { software: 5 },
    titles: {
      en: [
        'QA Lead',
        'QA Manager',
        'Head of QA',
        'Quality Assurance Lead',
        'Head of Quality Engineering',
        'QA Lead, Release Trains'
      ]
    },
    says: [
      'I keep release trains on time and regressions out.',
      'Quality assurance for software: people, pipelines, patience.'
    ],
    skills: ['QA', 'software testing', 'release management', 'test strategy']
  },
  {
    function: 'software',
    rank: 'specialist',
    trades: { software: 26, finance: 4, retail: 2 },
    titles: {
      en: ['Software Engineer', 'Backend Developer', 'Frontend Developer', 'Senior Developer', 'DevOps Engineer'],
      de: ['Softwareentwickler'],
      nl: ['Softwareontwikkelaar'],
      da: ['Softwareudvikler'],
      sv: ['Systemutvecklare'],
      no: ['Utvikler'],
      fr: ['Développeur']
    },
    says: ['I like small services and long walks.', 'Typed languages, tested code, cold brew coffee.'],
    skills: ['c++', '.net', 'databases', 'cloud', 'testing']
  },
  {
    function: 'economics',
    rank: 'specialist',
    trades: { finance: 9 },
    titles: {
      en: ['Economist', 'GDP Forecast Analyst', 'Senior Economist, GDP & Inflation', 'Macro Analyst'],
      de: ['Volkswirt'],
      fr: ['Économiste']
    },
    says: ['I nowcast GDP and explain why it was wrong.', 'Gross domestic product, quarter by quarter.'],
    skills: ['GDP', 'econometrics', 'forecasting', 'statistics']
  },
  {
    function: 'economics',
    rank: 'head',
    trades: { finance: 3 },
    titles: { en: ['Head of GDP Research', 'Chief Economist', 'Head of Macro Research'] },
    says: ['GDP, rates and the occasional crisis.'],
    skills: ['GDP', 'economics', 'public speaking']
  },
  {
    function: 'sales',
    rank: 'specialist',
    trades: { 'call-centre': 14, software: 6, '*': 5 },
    titles: {
      en: ['Account Manager', 'Sales Representative', 'Cold Calling Specialist', 'Business Development Representative'],
      de: ['Vertriebsmitarbeiter'],
      nl: ['Accountmanager'],
      da: ['Sælger'],
      sv: ['Säljare'],
      no: ['Selger'],
      fr: ['Commercial']
    },
    says: ['Cold calling is a craft.', 'I open doors and chilled drinks.'],
    skills: ['cold calling', 'negotiation', 'pipeline']
  },
  {
    function: 'sales',
    rank: 'manager',
    trades: { 'call-centre': 5, '*': 2.5 },
    titles: {
      en: ['Sales Manager', 'Regional Sales Manager', 'Head of Sales', 'Key Account Manager Pharma'],
      de: ['Vertriebsleiter'],
      nl: ['Sales Manager'],
      da: ['Salgschef'],
      sv: ['Försäljningschef'],
      no: ['Salgssjef'],
      fr: ['Responsable Commercial']
    },
    says: ['Numbers, coaching and coffee.', 'Selling to pharma and food for ten years.'],
    skills: ['sales', 'forecasting', 'coaching']
  },
  {
    function: 'customer service',
    rank: 'specialist',
    trades: { 'call-centre': 16, '*': 4 },
    titles: {
      en: ['Customer Service Agent', 'Support Agent', 'Call Quality Monitor', 'Quality Coach'],
      de: ['Kundenberater'],
      nl: ['Klantenservice medewerker'],
      da: ['Kundekonsulent'],
      sv: ['Kundtjänst'],
      no: ['Kundebehandler'],
      fr: ['Conseiller clientèle']
    },
    says: ['Listening for a living.', 'I score calls for quality and tone.'],
    skills: ['service', 'complaints', 'call quality']
  },
  {
    function: 'production',
    rank: 'manager',
    trades: { 'food-maker': 8, 'pharma-maker': 7, machinery: 8 },
    titles: {
      en: ['Production Manager', 'Plant Manager', 'Operations Manager'],
      de: ['Produktionsleiter', 'Werksleiter'],
      nl: ['Productiemanager'],
      da: ['Produktionschef'],
      sv: ['Produktionschef'],
      no: ['Produksjonssjef'],
      fr: ['Responsable de production']
    },
    says: ['Lean lines and loud machines.', 'From raw material to chilled pallet.'],
    skills: ['lean', 'planning', 'safety']
  },
  {
    function: 'engineering',
    rank: 'specialist',
    trades: { machinery: 15, building: 6, 'pharma-maker': 4 },
    titles: {
      en: [
        'Mechanical Engineer',
        'RP Engineer',
        'Rapid Prototyping (RP) Specialist',
        'Design Engineer',
        'Refrigeration Engineer'
      ],
      de: ['Konstrukteur'],
      nl: ['Werktuigbouwkundige'],
      da: ['Maskiningeniør'],
      sv: ['Konstruktör'],
      no: ['Ingeniør'],
      fr: ['Ingénieur mécanique']
    },
    says: ['RP in the morning, drawings after lunch.', 'I design compressors for cold rooms.'],
    skills: ['CAD', 'rapid prototyping', 'refrigeration']
  },
  {
    function: 'general management',
    rank: 'owner',
    trades: { '*': 1.6, restaurants: 5 },
    titles: {
      en: ['Owner', 'Founder', 'Owner & Managing Director'],
      de: ['Inhaber', 'Gründerin'],
      nl: ['Eigenaar'],
      da: ['Ejer', 'Indehaver'],
      sv: ['Ägare'],
      no: ['Eier'],
      fr: ['Gérant', 'Fondateur']
    },
    says: ['Started with one van and a borrowed cold box.', 'My name is on the door.'],
    skills: ['leadership', 'everything']
  },
  {
    function: 'general management',
    rank: 'chief',
    trades: { '*': 2 },
    titles: {
      en: ['Managing Director', 'CEO', 'Chief Operating Officer', 'General Manager'],
      de: ['Geschäftsführer'],
      nl: ['Algemeen Directeur'],
      da: ['Administrerende direktør'],
      sv: ['VD'],
      no: ['Daglig leder'],
      fr: ['Directeur Général']
    },
    says: ['Growing a firm without losing sleep.', 'Quality first, then growth.'],
    skills: ['strategy', 'leadership']
  },
  {
    function: 'finance',
    rank: 'manager',
    trades: { finance: 12, '*': 3 },
    titles: {
      en: ['Finance Manager', 'Controller', 'Credit Quality Analyst', 'Chief Financial Officer'],
      de: ['Leiter Finanzen', 'Controller'],
      nl: ['Financieel Manager'],
      da: ['Økonomichef'],
      sv: ['Ekonomichef'],
      no: ['Økonomisjef'],
      fr: ['Responsable financier']
    },
    says: ['Month end, every month.', 'Credit quality and cash.'],
    skills: ['accounting', 'reporting']
  },
  {
    function: 'human resources',
    rank: 'manager',
    trades: { recruiting: 6, '*': 1.8 },
    titles: {
      en: ['HR Manager', 'People Partner', 'HR Business Partner'],
      de: ['Personalleiter'],
      nl: ['HR Manager'],
      da: ['HR-chef'],
      sv: ['HR-chef'],
      no: ['HR-sjef'],
      fr: ['Responsable RH']
    },
    says: ['People before paper.'],
    skills: ['labour law', 'hiring']
  },
  {
    function: 'recruiting',
    rank: 'specialist',
    trades: { recruiting: 20 },
    titles: {
      en: [
        'Recruiter, Quality & Regulatory',
        'Talent Partner Pharma',
        'Recruitment Consultant',
        'Interim Quality Placement'
      ],
      fr: ['Chargé de recrutement']
    },
    says: [
      'Looking for a head of quality or responsible person? Talk to me.',
      'I place quality managers in pharma and cold chain.'
    ],
    skills: ['sourcing', 'interviews', 'GDP']
  },
  {
    function: 'marketing',
    rank: 'specialist',
    trades: { '*': 3 },
    titles: {
      en: ['Marketing Manager', 'Content Lead', 'Brand Manager'],
      de: ['Marketingleiter'],
      fr: ['Chargé de RP et communication', 'Responsable marketing']
    },
    says: ['Words, pictures, numbers.', 'Brand quality is what people say when you leave the room.'],
    skills: ['content', 'brand']
  },
  {
    function: 'purchasing',
    rank: 'manager',
    trades: { 'food-maker': 3, retail: 4, machinery: 3, 'chilled-food': 3, 'pharma-wholesale': 3 },
    titles: {
      en: ['Purchasing Manager', 'Category Manager Chilled', 'Buyer'],
      de: ['Einkaufsleiter'],
      nl: ['Inkoper'],
      da: ['Indkøbschef'],
      sv: ['Inköpschef'],
      no: ['Innkjøpssjef'],
      fr: ['Responsable achats']
    },
    says: ['Good suppliers make good nights.', 'I buy chilled goods for a living.'],
    skills: ['negotiation', 'categories']
  },
  {
    function: 'kitchen',
    rank: 'lead',
    trades: { restaurants: 24 },
    titles: {
      en: ['Head Chef', 'Sous Chef', 'Restaurant Manager', 'Cold Section Chef'],
      de: ['Küchenchef'],
      nl: ['Chef-kok'],
      da: ['Køkkenchef'],
      sv: ['Kökschef'],
      no: ['Kjøkkensjef'],
      fr: ['Chef de cuisine']
    },
    says: ['Quality on every plate.', 'Eleven kitchens in one restaurant chain.'],
    skills: ['cooking', 'HACCP', 'menus']
  },
  {
    function: 'medical',
    rank: 'specialist',
    trades: { hospital: 28, 'pharma-maker': 2 },
    titles: {
      en: ['Nurse', 'Pharmacist', 'Physician', 'Ward Manager', 'Quality of Care Nurse'],
      de: ['Apothekerin', 'Krankenpfleger'],
      nl: ['Apotheker'],
      da: ['Farmaceut', 'Sygeplejerske'],
      sv: ['Apotekare'],
      no: ['Farmasøyt'],
      fr: ['Pharmacien', 'Infirmier']
    },
    says: ['Quality of care is a conversation.', 'Hospital pharmacy, vaccines and late trains.'],
    skills: ['pharmacy', 'care', 'vaccines']
  },
  {
    function: 'building',
    rank: 'manager',
    trades: { building: 22 },
    titles: {
      en: ['Site Manager', 'Project Manager', 'Quantity Surveyor', 'Quality Inspector, Concrete'],
      de: ['Bauleiter'],
      nl: ['Projectleider bouw'],
      da: ['Byggeleder'],
      sv: ['Platschef'],
      no: ['Byggeleder'],
      fr: ['Chef de chantier']
    },
    says: ['Concrete dries when it wants to.'],
    skills: ['planning', 'safety', 'concrete']
  },
  {
    function: 'retail',
    rank: 'manager',
    trades: { retail: 22 },
    titles: {
      en: ['Store Manager', 'Area Manager', 'Deputy Store Manager'],
      de: ['Filialleiter'],
      nl: ['Filiaalmanager'],
      da: ['Butikschef'],
      sv: ['Butikschef'],
      no: ['Butikksjef'],
      fr: ['Directeur de magasin']
    },
    says: ['Happy shelves.', 'I run four shops of a chain.'],
    skills: ['retail', 'staffing']
  }
];
