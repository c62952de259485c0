import type { Person } from './person';
import { plainFirmName } from './firm-names';
import { nameVariants, plainText } from './person-name';

/** Mailboxes of a firm or a department rather than of a person, by language. Common practice, no published source. */
const roles: ReadonlySet<string> = new Set(
  `info information office contact contacts enquiries inquiries hello hi mail email post admin administrator administration support
  service services help helpdesk customerservice customercare care hr jobs job career careers recruitment reception sales sale
  order orders booking bookings export import marketing press media news newsletter pr accounts accounting finance billing invoice
  invoices purchasing procurement logistics warehouse dispatch quality qa compliance gdpr privacy dpo legal webmaster postmaster
  hostmaster abuse noreply donotreply reply team management board ceo secretary secretariat shop store web it
  kontakt hej salg bestilling ordre kundeservice indkob indkoeb lager okonomi bogholderi faktura presse stilling kvalitet
  forsaljning saljare order inkop ekonomi kundtjanst reklamation innkjop regnskap kundeservice
  kontakt verkauf bestellung einkauf vertrieb buchhaltung rechnung personal bewerbung karriere empfang zentrale sekretariat
  qualitaet qualitat datenschutz versand kundendienst
  verkoop inkoop bestelling administratie boekhouding facturen factuur klantenservice receptie personeel vacature magazijn
  kwaliteit
  ventas compras pedidos contacto informacion administracion facturacion contabilidad recepcion calidad rrhh empleo almacen
  atencion comercial
  vendite acquisti ordini contatti amministrazione fatture segreteria qualita magazzino personale commerciale
  vendas compras encomendas contato contacto geral administracao financeiro qualidade armazem rh comercial
  ventes achats commandes commande contact comptabilite facturation accueil direction qualite entrepot recrutement commercial`
    .split(/\s+/)
    .filter(Boolean)
);

/** Whether a text looks like a mail address; how well it is formed is looked at elsewhere. */
export const isMail = (text: string): boolean => /^[^\s@]+@[^\s@]+$/.test(text);

/** Whether an address is a mailbox of a firm: `info@`, `sales.nordic@`, `bestilling@`. It identifies a firm and never a person. */
export function isRoleMailbox(mail: string): boolean {
  const local = plainText(mail.slice(0, Math.max(0, mail.lastIndexOf('@')))).replaceAll(/\d+/g, '');
  const parts = local.split(' ').filter(Boolean);
  return roles.has(parts.join('')) || (parts.length > 0 && roles.has(parts[0]!) && parts.length < 4);
}

/** The mail addresses by which a person is known, in small letters; those of firms are left out. */
export const ownMails = ({ contact = [] }: Pick<Person, 'contact'>): string[] =>
  contact.map((text) => text.trim().toLowerCase()).filter((text) => isMail(text) && !isRoleMailbox(text));

/** The page addresses by which a person is known. */
export const ownPages = ({ contact = [] }: Pick<Person, 'contact'>): string[] =>
  contact
    .map((text) =>
      text
        .trim()
        .toLowerCase()
        .replace(/^https?:\/\/(www\.)?/, '')
        .replace(/\/$/, '')
    )
    .filter((text) => !isMail(text) && /^[a-z0-9.-]+\.[a-z]+\/\S+/.test(text));

const joining = new Set('and und og och et en y e i'.split(' '));

/** A firm as it is compared: without its legal form, accents and the words that join, ü as u or ue alike. */
export function firmKey(company: string): string {
  let key = firmKeys.get(company);
  if (key === undefined) {
    const words = plainText(plainFirmName(company)).split(' ');
    const kept = words.filter((word, i) => i === 0 || !joining.has(word));
    key = kept.join(' ').replaceAll(/ae/g, 'a').replaceAll(/oe/g, 'o').replaceAll(/ue/g, 'u');
    if (firmKeys.size > 200_000) firmKeys.clear();
    firmKeys.set(company, key);
  }
  return key;
}
const firmKeys = new Map<string, string>();

/**
 * What a person is known by again, in another list or record: each mail their own address, and their name (however its
 * accents are written) with each current firm. The one key by which contacted people, imports, rows of pages and
 * duplicates are recognised; `samePeople` looks further.
 */
export function contactKeys(person: Person): string[] {
  const firms = new Set(
    (person.jobs ?? []).flatMap(({ to, company }) => (!to && company.trim() ? [firmKey(company)] : []))
  );
  const names = nameVariants(person.name).filter(Boolean);
  return [...ownMails(person), ...names.flatMap((name) => [...firms].map((firm) => `${name} at ${firm}`))];
}
