import { useState } from 'react';
import { View } from 'react-native';
import type { Sureness } from '@pause/core';
import type { Drill } from '@pause/core/practice';
import { Strong, Body, Button } from '../../components';
import type { Plates } from '../../components/plates/usePlates';
import { t } from '../../text/en/practice';
import { DrawIt } from './DrawIt';
import { type KindProps, Word, Drawing, Colours, Stages, Measure } from './drillKinds';
import { Differs, Among } from './drillPairs';
import { type DrillAnswer, styles } from './drillStyles';
import { HowSure } from './Sureness';

interface DrillCardProps {
  readonly drill: Drill;
  readonly plates: Plates;
  readonly note?: React.ReactNode;
  readonly last: boolean;
  readonly onAnswer: (answer: DrillAnswer, sureness: Sureness) => void;
  readonly onNext: () => void;
}

/** One question; after it is answered, what was right. */
export function DrillCard({ drill, plates, note, last, onAnswer, onNext }: DrillCardProps) {
  const [sureness, setSureness] = useState<Sureness>('sure');
  const [result, setResult] = useState<{ readonly right: boolean; readonly answered: string }>();
  const answer = (given: DrillAnswer, answered: string) => {
    if (result) return;
    setResult({ right: given.right, answered });
    onAnswer(given, sureness);
  };
  const props = { plates, answered: result !== undefined, sureness, onAnswer: answer };
  return (
    <View style={styles.card}>
      <Kind drill={drill} {...props} />
      {note}
      {result || drill.kind === 'draw' ? null : <HowSure sureness={sureness} onChange={setSureness} />}
      {result ? (
        <View style={[styles.result, result.right ? styles.right : styles.wrong]} role="status">
          <Strong on={result.right ? 'dark' : 'light'}>{result.right ? t.right : t.notSo}</Strong>
          <Body on={result.right ? 'dark' : 'light'}>{result.answered}</Body>
        </View>
      ) : null}
      {result ? <Button label={last ? t.toTheEnd : t.next} onPress={onNext} /> : null}
    </View>
  );
}

function Kind({ drill, ...props }: Omit<KindProps<Drill['kind']>, 'drill'> & { readonly drill: Drill }) {
  switch (drill.kind) {
    case 'word':
      return <Word drill={drill} {...props} />;
    case 'drawing':
      return <Drawing drill={drill} {...props} />;
    case 'draw':
      return (
        <DrawIt
          character={drill.character}
          state={drill.shown}
          onJudged={(how) =>
            props.onAnswer(
              { right: how !== 'wrong', sureness: how === 'right' ? 'sure' : 'fairly' },
              how === 'right'
                ? t.fromMemoryAsItIs
                : how === 'nearly'
                  ? t.whatYouMarkedIsWhat
                  : t.itComesBackSoon,
            )
          }
        />
      );
    case 'differs':
      return <Differs drill={drill} {...props} />;
    case 'which':
    case 'basket':
      return <Among drill={drill} {...props} />;
    case 'colours':
      return <Colours drill={drill} {...props} />;
    case 'stages':
      return <Stages drill={drill} {...props} />;
    case 'measure':
      return <Measure drill={drill} {...props} />;
  }
}
