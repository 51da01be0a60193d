/** The zone of this machine, and all that the browser knows. */
const here = Intl.DateTimeFormat().resolvedOptions().timeZone;

export const ZONES = [...new Set([here, ...Intl.supportedValuesOf('timeZone')])].filter((z) => z.includes('/')).sort();

export const USUAL_ZONE = ZONES.includes(here) ? here : 'Europe/London';

export const LANGUAGES = ['en-GB', 'en-US'] as const;

export const PAPERS = ['A4', 'Letter'] as const;

/** Europe/New York. */
export const zoneText = (zone: string) => zone.replaceAll('_', ' ');
