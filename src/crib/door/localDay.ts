/** The calendar day of a moment in a zone, ISO. Example: 2027-01-01T02:00Z in America/St_Johns is 2026-12-31. */
export const localDay = (at: Date, zone: string): string =>
  new Intl.DateTimeFormat('en-CA', {
    timeZone: zone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
  }).format(at);
