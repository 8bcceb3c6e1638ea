import { StyleSheet, Text, type TextProps, type TextStyle } from 'react-native';
import { colour, font } from './tokens';

type WordsProps = TextProps & { readonly on?: 'light' | 'dark'; readonly soft?: boolean };

function words(style: TextStyle, heading?: number) {
  return function Words({ on = 'light', soft = false, style: more, ...props }: WordsProps) {
    const ink = on === 'dark' ? colour.onDark : soft ? colour.inkSoft : colour.ink;
    return (
      <Text
        {...(heading === undefined ? {} : { role: 'heading', 'aria-level': heading })}
        {...props}
        style={[style, { color: ink }, more]}
      />
    );
  };
}

const styles = StyleSheet.create({
  verdict: { fontFamily: font.wordBold, fontSize: 34, lineHeight: 38, letterSpacing: -0.4 },
  title: { fontFamily: font.wordBold, fontSize: 30, lineHeight: 34, letterSpacing: -0.3 },
  question: { fontFamily: font.word, fontSize: 25, lineHeight: 29, letterSpacing: -0.2 },
  heading: { fontFamily: font.word, fontSize: 21, lineHeight: 26 },
  strong: { fontFamily: font.readBold, fontSize: 17, lineHeight: 23 },
  body: { fontFamily: font.read, fontSize: 17, lineHeight: 24 },
  small: { fontFamily: font.read, fontSize: 15, lineHeight: 20 },
  smallStrong: { fontFamily: font.readBold, fontSize: 15, lineHeight: 20 },
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
