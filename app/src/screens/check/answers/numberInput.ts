import { colour, corner, font, space, stroke, typeSize } from '../../../components';

/** A field for one number, with large figures. */
export const numberInput = {
  width: 120,
  minHeight: 56,
  borderWidth: stroke.medium,
  borderColor: colour.ink,
  borderRadius: corner,
  backgroundColor: colour.card,
  fontFamily: font.readBold,
  fontSize: typeSize(25),
  color: colour.ink,
  paddingHorizontal: space.m,
} as const;
