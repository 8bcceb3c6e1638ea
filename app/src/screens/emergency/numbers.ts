import { Linking } from 'react-native';

/** Emergency numbers that certainly hold somewhere. */
export const EMERGENCY = ['112', '911', '999', '000', '111'] as const;

const europe =
  'Vienna Brussels Sofia Zagreb Prague Copenhagen Tallinn Helsinki Mariehamn Paris Berlin Busingen Athens ' +
  'Budapest Dublin Rome Riga Vilnius Luxembourg Malta Amsterdam Warsaw Lisbon Bucharest Bratislava Ljubljana ' +
  'Madrid Stockholm Oslo Zurich Vaduz';
const northAmerica =
  'New_York Chicago Denver Los_Angeles Phoenix Detroit Boise Anchorage Juneau Toronto Vancouver Edmonton ' +
  'Winnipeg Regina Halifax Moncton St_Johns';
const zones = (continent: string, cities: string) => cities.split(' ').map((city) => `${continent}/${city}`);

/**
 * Time zones (as in the IANA database) of countries whose number is known: the European Union with Norway,
 * Iceland, Switzerland and Liechtenstein; the United States and Canada; the United Kingdom; Australia; New
 * Zealand.
 */
const KNOWN: Readonly<Record<(typeof EMERGENCY)[number], readonly string[]>> = {
  112: [
    ...zones('Europe', europe),
    'Asia/Nicosia',
    'Asia/Famagusta',
    'Atlantic/Reykjavik',
    'Atlantic/Azores',
    'Atlantic/Madeira',
    'Atlantic/Canary',
  ],
  911: [...zones('America', northAmerica), 'Pacific/Honolulu'],
  999: ['Europe/London', 'Europe/Belfast'],
  '000': zones('Australia', 'Sydney Melbourne Brisbane Perth Adelaide Hobart Darwin Canberra'),
  111: ['Pacific/Auckland'],
};

/**
 * The emergency number where a clock is set; the language of a browser says too little about where it is
 * used.
 *
 * @param zone a time zone of the IANA database; undefined comes back where no number certainly holds
 */
export function emergencyWhere(zone: string): (typeof EMERGENCY)[number] | undefined {
  return EMERGENCY.find((number) => KNOWN[number].includes(zone));
}

/** Rings a number as a person typed it. */
export function call(number: string): void {
  void Linking.openURL(`tel:${number.replace(/[^+\d]/g, '')}`);
}
