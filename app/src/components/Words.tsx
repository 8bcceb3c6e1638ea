import { createContext, useContext } from 'react';
import { StyleSheet, Text, type TextProps, type TextStyle } from 'react-native';
import { colour, font, typeSize } from './tokens';

type WordsProps = TextProps & { readonly on?: 'light' | 'dark'; readonly soft?: boolean };

/** How many times larger than usual what is read is. Above the usual no line of it may be cut short. */
export const TextSize = createContext(1);

function words(style: TextStyle, heading?: number) {
  return function Words({ on = 'light', soft = false, style: more, numberOfLines, ...props }: WordsProps) {
    const large = useContext(TextSize) > 1;
    const ink = on === 'dark' ? colour.onDark : soft ? colour.inkSoft : colour.ink;
    return (
      <Text
        {...(heading === undefined ? {} : { role: 'heading', 'aria-level': heading })}
        {...props}
        {...(numberOfLines === undefined || large ? {} : { numberOfLines })}
        style={[style, { color: ink }, more]}
      />
    );
  };
}

const styles = StyleSheet.create({
  verdict: {
    fontFamily: font.wordBold,
    fontSize: typeSize(34),
    lineHeight: typeSize(38),
    letterSpacing: -0.4,
  },
  title: { fontFamily: font.wordBold, fontSize: typeSize(30), lineHeight: typeSize(34), letterSpacing: -0.3 },
  question: { fontFamily: font.word, fontSize: typeSize(25), lineHeight: typeSize(29), letterSpacing: -0.2 },
  heading: { fontFamily: font.word, fontSize: typeSize(21), lineHeight: typeSize(26) },
  strong: { fontFamily: font.readBold, fontSize: typeSize(17), lineHeight: typeSize(23) },
  body: { fontFamily: font.read, fontSize: typeSize(17), lineHeight: typeSize(24) },
  small: { fontFamily: font.read, fontSize: typeSize(15), lineHeight: typeSize(20) },
  smallStrong: { fontFamily: font.readBold, fontSize: typeSize(15), lineHeight: typeSize(20) },
});

/** The outcome of a verdict, the largest word there is. */
export const VerdictWord = words(styles.verdict);
export const Title = words(styles.title, 1);
export const Question = words(styles.question, 2);
export const Heading = words(styles.heading, 2);
export const Strong = words(styles.strong);
export const Body = words(styles.body);
/** Second lines; nothing that decides is this small. */
export const Small = words(styles.small);
export const SmallStrong = words(styles.smallStrong);
