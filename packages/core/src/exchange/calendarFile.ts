/** Something that has a time, as a calendar takes it. */
export interface CalendarEvent {
  readonly uid: string;
  readonly title: string;
  readonly note: string;
  /** Milliseconds since 1970. */
  readonly from: number;
  readonly to: number;
}

/** Octets of a line, without its end (RFC 5545, 3.1). */
const MOST_OCTETS = 75;

const moment = (at: number): string => `${new Date(at).toISOString().replace(/[-:]/g, '').slice(0, 15)}Z`;

/** Text as RFC 5545, 3.3.11 has it. */
const escaped = (text: string): string => text.replace(/[\\;,]/g, '\\$&').replace(/\r?\n/g, '\\n');

/** A line folded so that no part is longer than 75 octets, never within a character. */
function folded(line: string): string {
  const parts: string[] = [];
  let [part, octets] = ['', 0];
  for (const letter of line) {
    const long = new TextEncoder().encode(letter).length;
    if (octets + long > MOST_OCTETS) {
      parts.push(part);
      [part, octets] = ['', 1];
    }
    part += letter;
    octets += long;
  }
  return [...parts, part].join('\r\n ');
}

/** Events as an iCalendar file (RFC 5545), times in UTC; `now` is when it was made, ms since 1970. */
export function calendarFile(events: readonly CalendarEvent[], now: number): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Fellside//Day plan//EN',
    'CALSCALE:GREGORIAN',
    ...events.flatMap(({ uid, title, note, from, to }) => [
      'BEGIN:VEVENT',
      `UID:${uid}`,
      `DTSTAMP:${moment(now)}`,
      `DTSTART:${moment(from)}`,
      `DTEND:${moment(Math.max(to, from + 60_000))}`,
      `SUMMARY:${escaped(title)}`,
      `DESCRIPTION:${escaped(note)}`,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return lines.map((line) => `${folded(line)}\r\n`).join('');
}
