import { readPlaces } from '../../src/formats/files';

export const read = (text: string, near?: [number, number]) => {
  const result = readPlaces(text, near);
  if ('problems' in result) throw new Error(JSON.stringify(result.problems));
  return result;
};

export const GPX = (
  inner: string,
  attributes = 'version="1.1" creator="other" xmlns="http://www.topografix.com/GPX/1/1"',
) => `<?xml version="1.0"?><gpx ${attributes}>${inner}</gpx>`;
