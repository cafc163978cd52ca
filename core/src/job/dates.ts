/** Days of an era of 400 years, and from the first of March of year 0 to 1 January 1970. */
const [ERA, SINCE] = [146_097, 719_468] as const;
const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** Year, month from 1 and day of it, of a day since 1970 (Hinnant, “chrono-compatible low-level date algorithms”). */
export function civilOf(day: number): readonly [year: number, month: number, of: number] {
  const since = day + SINCE;
  const era = Math.floor(since / ERA);
  const inEra = since - era * ERA;
  const year = Math.floor(
    (inEra - Math.floor(inEra / 1460) + Math.floor(inEra / 36_524) - Math.floor(inEra / 146_096)) / 365,
  );
  const inYear = inEra - (365 * year + Math.floor(year / 4) - Math.floor(year / 100));
  const shifted = Math.floor((5 * inYear + 2) / 153);
  const month = shifted < 10 ? shifted + 3 : shifted - 9;
  return [year + 400 * era + (month <= 2 ? 1 : 0), month, inYear - Math.floor((153 * shifted + 2) / 5) + 1];
}

/** Days since 1970 of a year, a month from 1 and a day of it. */
export function dayFrom(civil: number, month: number, of: number): number {
  const year = month <= 2 ? civil - 1 : civil;
  const era = Math.floor(year / 400);
  const inYear = Math.floor((153 * (month > 2 ? month - 3 : month + 9) + 2) / 5) + of - 1;
  const ofEra = year - era * 400;
  return era * ERA + 365 * ofEra + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + inYear - SINCE;
}

/** Days since 1970 of a date like `2026-11-28`; of the head of a local time too. */
export const dayOf = (date: string): number =>
  dayFrom(Number(date.slice(0, 4)), Number(date.slice(5, 7)), Number(date.slice(8, 10)));

const two = (value: number): string => String(value).padStart(2, '0');

/** The date of a day since 1970. */
export function dateOf(day: number): string {
  const [year, month, of] = civilOf(day);
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(of)}`;
}

/** A local time like `2026-11-28T14:05`. */
export const localTime = (day: number, minute: number): string =>
  `${dateOf(day)}T${two(Math.floor(minute / 60))}:${two(minute % 60)}`;

/** Monday is 1, Sunday 7. 1 January 1970 was a Thursday. */
export const weekdayOf = (day: number): number => ((((day + 3) % 7) + 7) % 7) + 1;

/** Whether a text is a calendar day that there is, `2026-11-24`: 30 February is none. */
export function isDay(text: string): boolean {
  const [, year, month, day] = (/^(\d{4})-(\d{2})-(\d{2})$/.exec(text) ?? []).map(Number);
  if (year === undefined || month === undefined || day === undefined) return false;
  const leap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return day >= 1 && day <= ([31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1] ?? 0);
}

/** A date of any year as people write it: `28 Nov 2026`. */
export function dateWords(date: string): string {
  const [year, month, of] = civilOf(dayOf(date));
  return `${of} ${MONTHS[month - 1]} ${year}`;
}

/** A date as people write it: `Sat 28 Nov`. */
export function dayWords(date: string): string {
  const day = dayOf(date);
  const [, month, of] = civilOf(day);
  return `${WEEKDAYS[weekdayOf(day) - 1]} ${of} ${MONTHS[month - 1]}`;
}
