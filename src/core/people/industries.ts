import * as z from 'zod';
import tradeWords from './data/trade-words.json';
import { lettersKey } from './letters-key';
import { shipped } from '../language/shipped-data';

/**
 * Divisions of the International Standard Industrial Classification of All Economic Activities, Revision 4
 * (United Nations, 2008). The wording of the names is from memory, some shortened.
 */
const divisions = `01 Crop and animal production, hunting and related service activities
02 Forestry and logging
03 Fishing and aquaculture
05 Mining of coal and lignite
06 Extraction of crude petroleum and natural gas
07 Mining of metal ores
08 Other mining and quarrying
09 Mining support service activities
10 Manufacture of food products
11 Manufacture of beverages
12 Manufacture of tobacco products
13 Manufacture of textiles
14 Manufacture of wearing apparel
15 Manufacture of leather and related products
16 Manufacture of wood and of products of wood and cork, except furniture
17 Manufacture of paper and paper products
18 Printing and reproduction of recorded media
19 Manufacture of coke and refined petroleum products
20 Manufacture of chemicals and chemical products
21 Manufacture of basic pharmaceutical products and pharmaceutical preparations
22 Manufacture of rubber and plastics products
23 Manufacture of other non-metallic mineral products
24 Manufacture of basic metals
25 Manufacture of fabricated metal products, except machinery and equipment
26 Manufacture of computer, electronic and optical products
27 Manufacture of electrical equipment
28 Manufacture of machinery and equipment n.e.c.
29 Manufacture of motor vehicles, trailers and semi-trailers
30 Manufacture of other transport equipment
31 Manufacture of furniture
32 Other manufacturing
33 Repair and installation of machinery and equipment
35 Electricity, gas, steam and air conditioning supply
36 Water collection, treatment and supply
37 Sewerage
38 Waste collection, treatment and disposal activities; materials recovery
39 Remediation activities and other waste management services
41 Construction of buildings
42 Civil engineering
43 Specialized construction activities
45 Wholesale and retail trade and repair of motor vehicles and motorcycles
46 Wholesale trade, except of motor vehicles and motorcycles
47 Retail trade, except of motor vehicles and motorcycles
49 Land transport and transport via pipelines
50 Water transport
51 Air transport
52 Warehousing and support activities for transportation
53 Postal and courier activities
55 Accommodation
56 Food and beverage service activities
58 Publishing activities
59 Motion picture, video and television programme production, sound recording and music publishing activities
60 Programming and broadcasting activities
61 Telecommunications
62 Computer programming, consultancy and related activities
63 Information service activities
64 Financial service activities, except insurance and pension funding
65 Insurance, reinsurance and pension funding, except compulsory social security
66 Activities auxiliary to financial service and insurance activities
68 Real estate activities
69 Legal and accounting activities
70 Activities of head offices; management consultancy activities
71 Architectural and engineering activities; technical testing and analysis
72 Scientific research and development
73 Advertising and market research
74 Other professional, scientific and technical activities
75 Veterinary activities
77 Rental and leasing activities
78 Employment activities
79 Travel agency, tour operator, reservation service and related activities
80 Security and investigation activities
81 Services to buildings and landscape activities
82 Office administrative, office support and other business support activities
84 Public administration and defence; compulsory social security
85 Education
86 Human health activities
87 Residential care activities
88 Social work activities without accommodation
90 Creative, arts and entertainment activities
91 Libraries, archives, museums and other cultural activities
92 Gambling and betting activities
93 Sports activities and amusement and recreation activities
94 Activities of membership organizations
95 Repair of computers and personal and household goods
96 Other personal service activities
97 Activities of households as employers of domestic personnel
98 Undifferentiated goods- and services-producing activities of private households for own use
99 Activities of extraterritorial organizations and bodies`;

export const industries: readonly { code: string; name: string }[] = divisions
  .split('\n')
  .map((line) => ({ code: line.slice(0, 2), name: line.slice(3) }));

const names = new Map(industries.map(({ code, name }) => [code, name]));
const codes = new Map(industries.map(({ code, name }) => [name.toLowerCase(), code]));

/** The name of an ISIC division; undefined for text that is no division code. */
export const industryName = (code: string): string | undefined => names.get(code);

/** What firms of a division call their trade, in the languages of the lexicon. Common practice, no published source. */
const words = shipped(z.record(z.string().regex(/^\d\d$/), z.string()), tradeWords);
let byWord: Map<string, string> | undefined;

/** Division codes by trade word, in small letters without accents; made when first asked. */
function tradeCodes(): Map<string, string> {
  byWord ??= new Map(
    Object.entries(words).flatMap(([code, list]) => list.split(';').map((word) => [lettersKey(word), code] as const))
  );
  return byWord;
}

/** What firms of a division call their trade, as it is written, with the division's code. */
export const tradeWordCodes = (): [string, string][] =>
  Object.entries(words).flatMap(([code, list]) =>
    list.split(';').map((word): [string, string] => [word.trim().toLowerCase(), code])
  );

/** The division code of a text that is a code, a division's name or what its firms are called; undefined otherwise. */
export function industryCode(text: string): string | undefined {
  const written = text.trim();
  if (names.has(written)) return written;
  return written.length > 200 ? undefined : (codes.get(written.toLowerCase()) ?? tradeCodes().get(lettersKey(written)));
}

/**
 * The division whose trade words are in a longer text (`Empresas de catering`), where they all are of one division;
 * undefined otherwise. Linear in the text.
 */
export function industryWithin(text: string): string | undefined {
  const keys = lettersKey(text.slice(0, 200)).split(' ');
  const found = new Set<string>();
  const longest = 4;
  for (let from = 0; from < keys.length;)
    for (let size = Math.min(longest, keys.length - from); ; size--) {
      const code = size && tradeCodes().get(keys.slice(from, from + size).join(' '));
      if (code) found.add(code);
      if (code || size <= 1) {
        from += Math.max(1, size);
        break;
      }
    }
  const [code] = found;
  return found.size === 1 ? code : undefined;
}

/** The first division of each section of ISIC Rev. 4 (A to U), in order. */
const sectionStarts = [1, 5, 10, 35, 36, 41, 45, 49, 55, 58, 64, 68, 69, 77, 84, 85, 86, 90, 94, 97, 99];
const sectionOf = (division: string): number => sectionStarts.findLastIndex((start) => Number(division) >= start);

/**
 * Of values that a source offers (codes, names or trade words), those whose divisions lie in the section of ISIC Rev. 4 that
 * a text's division lies in: the nearest codes first, three at most. Empty where the text is no industry.
 */
export function nearestIndustries(text: string, offered: readonly string[]): string[] {
  const code = industryCode(text) ?? industryWithin(text);
  if (!code) return [];
  const distance = (other: string) => Math.abs(Number(other) - Number(code));
  return offered
    .map((value) => ({ value, code: industryCode(value) ?? industryWithin(value) }))
    .filter((one): one is { value: string; code: string } => one.code !== undefined)
    .filter((one) => sectionOf(one.code) === sectionOf(code))
    .sort((a, b) => distance(a.code) - distance(b.code))
    .slice(0, 3)
    .map(({ value }) => value);
}
