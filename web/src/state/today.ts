import { format } from 'date-fns';

/** The day on this person's calendar, ISO. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

/** A date to read, as this person's system writes it. */
export const showDate = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'long', year: 'numeric' }).format(
    new Date(`${iso}T12:00:00`),
  );
