import { messages, plural } from '../messages';

export const t = messages('units', {
  grams: 'grams',
  millilitres: 'millilitres',
  litre: 'litre',
  litres: 'litres',
  piece: 'piece',
  pieces: 'pieces',
  handful: 'handful',
  handfuls: 'handfuls',
  amountInGrams: (amount: string) => `${amount}\u00A0g`,
  kilograms: (amount: string) => `${amount}\u00A0kg`,
  amountInMillilitres: (amount: string) => `${amount}\u00A0ml`,
  l: (amount: string) => `${amount}\u00A0l`,
  amountInLitres: (amount: string, number: number) =>
    `${amount}\u00A0${plural(number, { one: 'litre', other: 'litres' })}`,
  amountInPieces: (amount: string, number: number) =>
    `${amount}\u00A0${plural(number, { one: 'piece', other: 'pieces' })}`,
  amountInHandfuls: (amount: string, number: number) =>
    `${amount}\u00A0${plural(number, { one: 'handful', other: 'handfuls' })}`,
  hours: (hours: number) => `${hours} ${plural(hours, { one: 'hour', other: 'hours' })}`,
  days: (days: number) => `${days} ${plural(days, { one: 'day', other: 'days' })}`,
  weeks: (weeks: number) => `${weeks} ${plural(weeks, { one: 'week', other: 'weeks' })}`,
});
