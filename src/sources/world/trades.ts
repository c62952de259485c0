/** A line of business in the demo world: how its firms are named, how large they are and what their people speak of. */
export interface Trade {
  id: string;
  /** ISIC Rev. 4 division. */
  industry: string;
  /** Share of all firms, in thousandths. */
  share: number;
  names: readonly string[];
  /** Words on what the firm does, for about texts. */
  does: readonly string[];
}

export const trades: readonly Trade[] = [
  {
    id: 'pharma-wholesale',
    industry: '46',
    share: 62,
    names: [
      'Pharma',
      'Pharma Logistics',
      'Medical Supply',
      'Apotek Service',
      'Healthcare Distribution',
      'Pharma Wholesale'
    ],
    does: [
      'medicines to pharmacies and hospitals under good distribution practice',
      'wholesale of temperature-sensitive medicines, 2 to 8 degrees all the way',
      'pharma distribution with validated cold chain transport'
    ]
  },
  {
    id: 'chilled-food',
    industry: '46',
    share: 74,
    names: ['Chilled Foods', 'Fresh', 'Kyl', 'Frost', 'Fresh Distribution', 'Cool Foods', 'Seafood'],
    does: [
      'chilled and frozen food to shops and kitchens every night',
      'chilled distribution with an unbroken cold chain',
      'fresh fish and dairy, temperature controlled from dock to door'
    ]
  },
  {
    id: 'cold-logistics',
    industry: '52',
    share: 40,
    names: ['Cold Stores', 'Reefer', 'Coldlog', 'Temperature Logistics', 'Thermo Transport'],
    does: [
      'refrigerated transport and cold storage for food and pharma',
      'cold stores and reefer trailers across the north'
    ]
  },
  {
    id: 'pharma-maker',
    industry: '21',
    share: 35,
    names: ['Biologics', 'Pharmaceuticals', 'Labs', 'Vaccines', 'Therapeutics'],
    does: ['making vaccines and injectable medicines under GMP', 'sterile manufacturing of medicines']
  },
  {
    id: 'food-maker',
    industry: '10',
    share: 70,
    names: ['Bakery', 'Dairy', 'Foods', 'Provisions', 'Mill', 'Meats'],
    does: [
      'bread and cakes for the whole region',
      'cheese, butter and chilled desserts',
      'ready meals for supermarkets'
    ]
  },
  {
    id: 'restaurants',
    industry: '56',
    share: 85,
    names: ['Kitchen', 'Grill', 'Burger Bar', 'Coffee House', 'Noodle Bar', 'Pizzeria'],
    does: ['a restaurant chain with a promise of quality in every bowl', 'a coffee chain, forty bars and growing']
  },
  {
    id: 'software',
    industry: '62',
    share: 125,
    names: ['Systems', 'Software', 'Digital', 'Cloud', 'Data', 'Studio'],
    does: [
      'software for shops and warehouses',
      'a booking platform used in nine countries',
      'blockchain and supply chain software'
    ]
  },
  {
    id: 'finance',
    industry: '64',
    share: 70,
    names: ['Bank', 'Capital', 'Sparekasse', 'Economics', 'Asset Management'],
    does: ['macro research: GDP, inflation and rates', 'lending to small firms', 'GDP forecasts and country risk']
  },
  {
    id: 'call-centre',
    industry: '82',
    share: 45,
    names: ['Contact', 'Dialogue', 'Outreach', 'Callhouse'],
    does: [
      'cold calling and appointment setting for other firms',
      'outbound sales, cold outreach and quality monitoring of calls'
    ]
  },
  {
    id: 'machinery',
    industry: '28',
    share: 95,
    names: ['Engineering', 'Maskin', 'Werke', 'Tools', 'Automation'],
    does: [
      'pumps and valves for ships',
      'packaging machines with rapid prototyping (RP) in house',
      'compressors for heat pumps'
    ]
  },
  {
    id: 'retail',
    industry: '47',
    share: 110,
    names: ['Stores', 'Market', 'Home', 'Garden', 'Outlet'],
    does: ['a chain of garden shops', 'groceries online and in forty shops']
  },
  {
    id: 'hospital',
    industry: '86',
    share: 55,
    names: ['Clinic', 'Hospital', 'Care', 'Dental'],
    does: ['a regional hospital with eleven wards', 'private clinics for eyes and knees']
  },
  {
    id: 'building',
    industry: '41',
    share: 80,
    names: ['Building', 'Construction', 'Bygg', 'Bau', 'Homes'],
    does: ['homes and schools in timber', 'housing estates and renovation']
  },
  {
    id: 'recruiting',
    industry: '78',
    share: 54,
    names: ['People', 'Talent', 'Staffing', 'Search Partners'],
    does: [
      'finding quality managers and responsible persons for pharma firms',
      'interim staff for warehouses and offices'
    ]
  }
];
