import Box from '@mui/material/Box';
import type { Section } from '#core/book/sections.ts';
import { type OwnDate, ownDatesText, readOwnDates } from '#core/calendar/own-dates.ts';
import { FromFile } from '../../parts/from-file.tsx';
import { LiveTextField } from '../../parts/live-text-field.tsx';
import { textOfFile } from '../../parts/read-text-file.ts';

/** The largest file that dates are taken from, in bytes. */
const MOST_FILE = 4_000_000;

const said = (count: number): string => (count === 1 ? '1 date' : `${count.toLocaleString('en-US')} dates`);

/** The publisher's own dates: typed, a line for each, or taken from a table or a calendar file. */
export function DatesField({
  section,
  label,
  onChange,
}: {
  section: Section;
  label: string;
  onChange: (value: unknown) => string | null;
}) {
  const value = section.options.dates as string;
  const take = async (file: File): Promise<string> => {
    const dates = await datesOf(await textOfFile(file, MOST_FILE), section);
    const there = new Set(readOwnDates(value).map(({ on, text }) => `${on} ${text}`));
    const fresh = dates.filter(({ on, text }) => !there.has(`${on} ${text}`));
    const problem = fresh.length ? onChange(ownDatesText([...readOwnDates(value), ...fresh])) : null;
    if (problem) throw new Error(problem);
    const passed = dates.length - fresh.length;
    return `${said(fresh.length)} taken from ${file.name}${passed ? `; ${said(passed)} were there` : ''}.`;
  };
  return (
    <Box>
      <LiveTextField
        label={label}
        value={value}
        rows={4}
        hint="A line for each: 2027-05-31, Anna’s birthday. 05-31 instead is every year."
        onCommit={onChange}
      />
      <FromFile
        label="A table or calendar file with dates"
        accept=".csv,.txt,.ics,text/csv,text/calendar"
        take={take}
      >
        Take dates from a file…
      </FromFile>
    </Box>
  );
}

async function datesOf(text: string, { options }: Section): Promise<OwnDate[]> {
  // Its parser is loaded for who brings such a file.
  const { datesFromCalendar, isCalendarFile } = await import('#core/calendar/calendar-file.ts');
  return isCalendarFile(text)
    ? datesFromCalendar(text, options.from as string, options.to as string)
    : readOwnDates(text);
}
