import { messages, plural } from '../messages';

export const t = messages('week', {
  dateAtLeastOneWhole:
    'date: at least one whole year, from 1 January to 31 December. Nothing was taken of it.',
  weatherFromToIsIn: (isoDayName: string, isoDayName2: string) =>
    `Weather from ${isoDayName} to ${isoDayName2} is in use on this device.`,
  daysWereMissingAndFilled: (count: number) =>
    `${plural(count, { one: 'One day was', other: `${count} days were` })} missing and filled in.`,
  fromAboutToToAbout: (dayName: string, dayName2: string, dayName3: string, dayName4: string) =>
    `from about ${dayName} (${dayName2} to ${dayName3}) to about ${dayName4}`,
  notWithPauseAndWhy: 'Not with Pause, and why: close',
  notWithPauseCount: (count: number) => `Not with Pause, and why: ${count}`,
  notWithPauseHeading: 'Not with Pause, and why',
  loadWeather: 'Load weather',
  forgetIt: 'Forget it',
  forgetTheWeatherThatWas: 'Forget the weather that was loaded',
  whatSuchATableHolds: 'What such a table holds',
  aTableCsvOfDaily:
    'A table (CSV) of daily values: date, tmin_c, tmax_c, rain_mm, and a line “# elevation_m: 640” for the ' +
    'height of its station.',
  planAWalk: 'Plan a walk',
  theWalkOf: (isoDayName: string) => `The walk of ${isoDayName}`,
  partAt: (part: string, place: string) => `${part} · ${place}`,
  notFor: 'Not for',
  askFirstFor: 'Ask first for',
  whatIsWorthGoingFor: 'What is worth going for',
  thereIsNoPlaceYet: 'There is no place yet',
  putDownThePlacesThat:
    'Put down the places that you know, and what you saw there. From then on Pause says when it is time to go.',
  lookingAheadDidNotWork: 'Looking ahead did not work',
  lookingAheadPercent: (number: number) => `Looking ahead: ${number} %`,
  stopAndShowWhatIs: 'Stop, and show what is found',
  itWasStoppedPercentOf: (number: number) => `It was stopped: ${number} % of your places were looked at.`,
  nothingThatWasSeenAtYour: 'Nothing that was seen at your places can be had now or later this year.',
  leftOutSinceNobodyOf: (list: string) =>
    `Left out, since nobody of those who eat along may have it or likes it: ${list}.`,
  theDemosValleyHasMade: 'the demo’s valley has made-up weather',
  aMadeUpValleyStands: 'a made-up valley stands in for it, so the days are a guess',
  noWeatherOfYourOwn: (text: string) => `No weather of your own is here: ${text}.`,
  byTheWeatherThatYou: 'By the weather that you loaded.',
  thickWhereItIsLikelier: (text: string) =>
    `Thick where it is likelier there than not, thin as far as it may be. ${text} What the guide says of ` +
    `warmth and rain is general; what you see there corrects it.`,
});
