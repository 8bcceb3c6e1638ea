import { useContext, useEffect, useMemo, useState } from 'react';
import { useWindowDimensions } from 'react-native';
import type { Sureness } from '@pause/core';
import { TextSize } from '../../../components/Words';
import { look } from '../../../notebook/look';
import { useAct, useApp } from '../../../notebook/store';
import type { Fitted } from '../AnswerCard';
import type { Room } from '../answers/fit';
import { PHONE_SIDE, PHONE_TOP } from '../checkStyles';
import type { SurenessBarProps } from './SurenessBar';

/** What a phone's screen holds besides the question: head, bars, how sure, and verdict; in CSS pixels. */
const BESIDES = 216;
/** On a lower screen the question would have no room beside them. */
export const LEAST_HEIGHT = 520;

export interface Phone {
  readonly barsOpen: boolean;
  readonly toggleBars: () => void;
  readonly closeBars: () => void;
  /** Learns how large the part is that scrolls. */
  readonly onRoom: (size: Room) => void;
  /** The bar at the thumb; nothing where nothing is asked. */
  readonly bar: SurenessBarProps | undefined;
}

interface PhoneProps {
  /** Of the question; changes with each. */
  readonly key: string;
  /** Whether it is on the screen. */
  readonly isAsked: boolean;
  /** The last answer, and taking it back. */
  readonly answering: { readonly last: unknown; readonly back: () => void };
  readonly toTop: () => void;
}

/** What a phone's check holds beside the question. */
export function usePhone({ key, isAsked, answering, toTop }: PhoneProps): {
  readonly fitted: Fitted;
  readonly phone: Phone;
} {
  const [barsOpen, setBarsOpen] = useState(false);
  const [room, onRoom] = useRoom();
  const [sureness, setSureness] = useSureness(key);
  const [waysOf, setWaysOf] = useState<string>();
  const ways = waysOf === key;
  const hint = useHint(answering.last !== undefined);
  const fitted = useMemo(
    () => ({ room, sureness, ways, closeWays: () => setWaysOf(undefined) }),
    [room, sureness, ways],
  );
  return {
    fitted,
    phone: {
      barsOpen,
      toggleBars: () => {
        setBarsOpen(!barsOpen);
        toTop();
      },
      closeBars: () => setBarsOpen(false),
      onRoom,
      bar: isAsked
        ? {
            sureness,
            onChoose: setSureness,
            onBack: answering.last ? answering.back : undefined,
            ways,
            onWays: () => {
              setWaysOf(ways ? undefined : key);
              toTop();
            },
            ...hint,
          }
        : undefined,
    },
  };
}

/** Whether somebody new is shown what a touch and a hold do: until they answered once, or read it. */
function useHint(answered: boolean): Pick<SurenessBarProps, 'hint' | 'onHintRead'> {
  const act = useAct();
  const known = useApp((state) => state.look.holdKnown === true);
  const onHintRead = () => act(look.actions.lookSet({ holdKnown: true }));
  useEffect(() => {
    if (answered && !known) act(look.actions.lookSet({ holdKnown: true }));
  }, [answered, known, act]);
  return { hint: !known, onHintRead };
}

/** Whether the question with all its answers is fitted into the screen: letters larger than usual do not fit. */
export function useFitted(): boolean {
  const { height } = useWindowDimensions();
  return useContext(TextSize) === 1 && height >= LEAST_HEIGHT;
}

/** The space for a question, also before the screen has been laid out. */
function useRoom(): readonly [Room, (size: Room) => void] {
  const { width, height } = useWindowDimensions();
  const [size, setSize] = useState<Room>();
  const whole = size ?? { width, height: height - BESIDES };
  const [room, setRoom] = useState(() => within(whole));
  const now = within(whole);
  if (now.width !== room.width || now.height !== room.height) setRoom(now);
  return [room, setSize];
}

const within = ({ width, height }: Room): Room => ({
  width: width - 2 * PHONE_SIDE,
  height: height - 2 * PHONE_TOP,
});

/** How sure the next answer is: sure, unless something else is chosen for this very question. */
function useSureness(question: string): readonly [Sureness, (sureness: Sureness) => void] {
  const [chosen, setChosen] = useState<{ readonly of: string; readonly sureness: Sureness }>();
  return [
    chosen?.of === question ? chosen.sureness : 'sure',
    (sureness) => setChosen({ of: question, sureness }),
  ];
}
