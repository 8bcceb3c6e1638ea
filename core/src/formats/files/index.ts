/** Open formats in and out: places as GPX and GeoJSON, days as iCalendar. */
export * from './read';
export * from './simplify';
export * from './write';
export * from './map';
