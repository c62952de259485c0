const monthWords =
  'jan january januar januari januari janvier enero janeiro gennaio styczeń tammikuu leden;feb february februar februari février febrero fevereiro febbraio luty helmikuu únor;mar march märz marts mars maart marzo março marzec maaliskuu březen;apr april avril abril aprile kwiecień huhtikuu duben;may maj mai mei mayo maio maggio toukokuu květen;jun june juni juin junio junho giugno czerwiec kesäkuu červen;jul july juli juillet julio julho luglio lipiec heinäkuu červenec;aug august augusti augustus août agosto sierpień elokuu srpen;sep sept september septembre septiembre setembro settembre wrzesień syyskuu září;oct okt october oktober octobre octubre outubro ottobre październik lokakuu říjen;nov november novembre noviembre novembro listopad marraskuu listopadu;dec dez december dezember décembre diciembre dezembro dicembre grudzień joulukuu prosinec';
const monthOf = new Map(
  monthWords.split(';').flatMap((names, i) => names.split(' ').map((name) => [name, i + 1] as const))
);
const written = (year: number, month?: number) =>
  month === undefined ? String(year) : `${year}-${String(month).padStart(2, '0')}`;
const isYear = (year: number) => year >= 1900 && year <= 2100;

/**
 * The month or year of a date as files write it, in ISO 8601: `2021-03`, `03/2021`, `15.03.2021`, `March 2021`, `mars 2021`,
 * `2021`. Null for what is none. A day and a month that could be either way round give the month of ISO order by country
 * habit, day first, unless the second cannot be a month.
 */
export function readMonth(text: string): string | null {
  const bare = text.trim().toLowerCase().replace(/[.,]$/, '');
  const iso = /^(\d{4})(?:[-/.](\d{1,2})(?:[-/.]\d{1,2}(?:[t ].*)?)?)?$/.exec(bare);
  if (iso) {
    const [year, month] = [Number(iso[1]), iso[2] === undefined ? undefined : Number(iso[2])];
    return isYear(year) && (month === undefined || (month >= 1 && month <= 12)) ? written(year, month) : null;
  }
  const short = /^(\d{1,2})[-/.](\d{4})$/.exec(bare);
  const full = /^(\d{1,2})[-/.]\s?(\d{1,2})[-/.]\s?(\d{4})$/.exec(bare);
  if (short || full) {
    const year = Number(short ? short[2] : full![3]);
    const [first, second] = [Number(short ? short[1] : full![1]), Number(short ? short[1] : full![2])];
    const month = second <= 12 ? second : first;
    return isYear(year) && month >= 1 && month <= 12 ? written(year, month) : null;
  }
  const words = /^(?:\d{1,2}\.?\s+)?(?:de\s+)?(\p{L}+)\.?\s+(?:de\s+)?(\d{4})$/u.exec(bare);
  const month = words && monthOf.get(words[1]!);
  return month && isYear(Number(words[2])) ? written(Number(words[2]), month) : null;
}
