import { useRef, useState } from 'react';
import type { LayoutChangeEvent, NativeScrollEvent, NativeSyntheticEvent, ScrollView } from 'react-native';
import { space } from '../../components';
import { useLatest } from './useJudged';

/**
 * Keeps the question in view.
 *
 * @param alone - whether it has a pane of its own, and begins at its top
 */
export function useToCard(alone: boolean) {
  const scroller = useRef<ScrollView>(null);
  const scrolled = useRef(0);
  const [cardTop, setCardTop] = useState(0);
  const toCard = () =>
    scroller.current?.scrollTo({ y: alone ? 0 : Math.max(0, cardTop - space.m), animated: false });
  return {
    toCard,
    /** Whoever scrolled past the question gets the next one in view. */
    settleDown: () => {
      if (scrolled.current > cardTop) toCard();
    },
    onLayout: useLatest((event: LayoutChangeEvent) => setCardTop(alone ? 0 : event.nativeEvent.layout.y)),
    /** For the view that scrolls. */
    follow: {
      ref: scroller,
      scrollEventThrottle: 100,
      onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) => {
        scrolled.current = event.nativeEvent.contentOffset.y;
      },
    },
  };
}

export type Follow = ReturnType<typeof useToCard>['follow'];
