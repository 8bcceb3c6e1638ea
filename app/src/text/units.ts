import { t } from './en/units';

/** Amounts and their units. */

export type Unit = 'g' | 'ml' | 'litre' | 'piece' | 'handful';

/** What one of a unit is called; weights and volumes have no single one. */
export const UNIT: Readonly<Record<Unit, string>> = {
  g: t.grams,
  ml: t.millilitres,
  litre: t.litre,
  piece: t.piece,
  handful: t.handful,
};

/** What several of a unit are called. */
export const UNITS: Readonly<Record<Unit, string>> = {
  g: t.grams,
  ml: t.millilitres,
  litre: t.litres,
  piece: t.pieces,
  handful: t.handfuls,
};

const IN: Readonly<Record<Unit, (amount: string, number: number) => string>> = {
  g: t.amountInGrams,
  ml: t.amountInMillilitres,
  litre: t.amountInLitres,
  piece: t.amountInPieces,
  handful: t.amountInHandfuls,
};

/** "20 g", "1 piece", "3 handfuls". */
export const amountIn = (unit: Unit, amount: number): string => IN[unit](amount.toLocaleString(), amount);
