import { expect, test } from 'vitest';
import { calendarFile } from './calendarFile.js';

const event = {
  uid: '1@fellside',
  title: 'Fell Race Cup; 12 jobs, sawn',
  note: `19:00 Ring 9: cut segments\n19:10 ${'ä'.repeat(80)} \\ end`,
  from: Date.UTC(2026, 10, 30, 19, 0),
  to: Date.UTC(2026, 10, 30, 21, 0),
};

// RFC 5545: 3.1 lines of 75 octets, continued after CRLF and a space; 3.3.11 commas, semicolons, backslashes, line breaks escaped; 3.3.5 UTC.
test('an iCalendar file as RFC 5545 has it', () => {
  const text = calendarFile([event], Date.UTC(2026, 10, 29));
  expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true);
  for (const line of text.split('\r\n'))
    expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
  const lines = text.replace(/\r\n /g, '').split('\r\n');
  expect(lines).toContain('DTSTART:20261130T190000Z');
  expect(lines).toContain('DTEND:20261130T210000Z');
  expect(lines).toContain('DTSTAMP:20261129T000000Z');
  expect(lines).toContain('SUMMARY:Fell Race Cup\\; 12 jobs\\, sawn');
  const note = lines.find((line) => line.startsWith('DESCRIPTION:'))!.slice(12);
  expect(note.replace(/\\n/g, '\n').replace(/\\([\\;,])/g, '$1')).toBe(event.note);
});

test('what takes no time takes a minute', () => {
  expect(calendarFile([{ ...event, to: event.from }], 0)).toContain('DTEND:20261130T190100Z');
});
