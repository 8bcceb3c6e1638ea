import { Link, usePathname, type Href } from 'expo-router';
import { useContext, useEffect, useRef, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, useWindowDimensions, View, type ViewStyle } from 'react-native';
import { useSafeAreaInsets } from 'react-native-safe-area-context';
import { t } from '../text/en/components';
import { PauseMark } from './Marks';
import { OutboxLine } from './OutboxLine';
import { RoomSign, type RoomName } from './RoomSign';
import { colour, font, space, stroke, TABLET, TARGET, typeSize, WIDE } from './tokens';
import { Small, TextSize } from './Words';

/** Where one learns what to do when someone ate something. */
export const EATEN = { href: '/eaten', label: t.eaten } as const;

const ROOMS: readonly {
  readonly room: RoomName;
  readonly href: Href;
  readonly label: string;
  readonly match: RegExp;
  readonly wide?: true;
}[] = [
  { room: 'start', href: '/', label: t.start, match: /^\/$/ },
  { room: 'week', href: '/week', label: t.week, match: /^\/(week|place|walk|eaters)/ },
  { room: 'new', href: '/new', label: t.newFind, match: /^\/new/ },
  { room: 'finds', href: '/finds', label: t.finds, match: /^\/finds?(\/|$)/ },
  // On a phone the way there is at the head of the finds.
  {
    room: 'pantry',
    href: '/pantry',
    label: t.pantry,
    match: /^\/(pantry|batch|portion|labels|scan|taste|recall|logbook)/,
    wide: true,
  },
  { room: 'practice', href: '/practice', label: t.practice, match: /^\/practice/, wide: true },
  { room: 'guide', href: '/guide', label: t.guide, match: /^\/(guide|taxon|pair|card)/ },
  { room: 'eaten', ...EATEN, match: /^\/eaten/ },
];

const IN_FINDS = ROOMS.find(({ href }) => href === '/pantry')?.match ?? /^$/;

/** Twice as large letters leave room for half as much: the screen counts as so much narrower. */
function useRoom(): number {
  return useWindowDimensions().width / useContext(TextSize);
}
export function useWide(): boolean {
  return useRoom() >= WIDE;
}

/** A tablet, or wider. */
export function useTwoPanes(): boolean {
  return useRoom() >= TABLET;
}

interface ScreenProps {
  readonly children: React.ReactNode;
  /** Always in view, below what scrolls. */
  readonly strip?: React.ReactNode;
  /** Lets the children lay themselves out in panes instead of scrolling as one. */
  readonly panes?: boolean;
  /** Uses the whole width of a wide screen, for what is drawn along it. */
  readonly full?: boolean;
  /** Leaves the rooms out below, for a screen whose strip takes their place. */
  readonly rooms?: boolean;
  /** What is shown; where it changes, the screen starts at its top again. */
  readonly shown?: string | undefined;
}

/** The frame of every screen: rooms at the side when wide, at the thumb when narrow. */
export function Screen({ children, strip, panes = false, full = false, rooms = true, shown }: ScreenProps) {
  const scroller = useRef<ScrollView>(null);
  useEffect(() => scroller.current?.scrollTo({ y: 0, animated: false }), [shown]);
  const wide = useWide();
  const insets = useSafeAreaInsets();
  return (
    <View style={[styles.page, { paddingTop: insets.top }, wide && styles.row]}>
      {wide ? <Rooms side /> : null}
      <View style={styles.main} role="main">
        <OutboxLine />
        {panes ? (
          <View style={styles.main}>{children}</View>
        ) : (
          <ScrollView
            ref={scroller}
            style={styles.main}
            contentContainerStyle={[styles.content, wide && styles.contentWide, full && styles.contentFull]}
          >
            {children}
          </ScrollView>
        )}
        {strip}
        {!wide && rooms ? <Rooms /> : null}
      </View>
    </View>
  );
}

function Rooms({ side = false }: { readonly side?: boolean }) {
  const path = usePathname();
  return (
    <View role="navigation" aria-label={t.rooms} style={side ? styles.side : styles.below}>
      {side ? (
        <View style={styles.mark}>
          <PauseMark size={34} colour={colour.mark} />
        </View>
      ) : null}
      {ROOMS.filter(({ wide }) => side || wide !== true).map((room) => (
        <Room
          key={room.label}
          {...room}
          side={side}
          here={room.match.test(path) || (!side && room.href === '/finds' && IN_FINDS.test(path))}
        />
      ))}
    </View>
  );
}

function Room({
  room,
  href,
  label,
  side,
  here,
}: {
  readonly room: RoomName;
  readonly href: Href;
  readonly label: string;
  readonly side: boolean;
  readonly here: boolean;
}) {
  const [over, setOver] = useState(false);
  return (
    <Link href={href} asChild>
      <Pressable
        role="link"
        aria-current={here ? 'page' : undefined}
        onHoverIn={() => setOver(true)}
        onHoverOut={() => setOver(false)}
        style={StyleSheet.flatten([
          side ? styles.sideRoom : styles.room,
          here && (side ? styles.sideHere : styles.here),
        ])}
      >
        <RoomSign room={room} colour={side ? colour.onRooms : here ? colour.ink : colour.inkSoft} />
        <Small
          on={side ? 'dark' : 'light'}
          style={[side && styles.onRooms, (here || over) && styles.hereText]}
        >
          {label}
        </Small>
      </Pressable>
    </Link>
  );
}

/** A hairline. */
export function Rule({ strong = false, style }: { readonly strong?: boolean; readonly style?: ViewStyle }) {
  return <View style={[strong ? styles.strongRule : styles.rule, style]} />;
}

const styles = StyleSheet.create({
  page: { flex: 1, backgroundColor: colour.ground },
  row: { flexDirection: 'row' },
  main: { flex: 1, minHeight: 0 },
  content: { padding: space.l, gap: space.m, paddingBottom: space.xl },
  contentWide: {
    maxWidth: 1000,
    width: '100%',
    alignSelf: 'center',
    paddingHorizontal: space.xl,
    paddingTop: space.xl,
  },
  contentFull: { maxWidth: 1600 },
  // In large letters they stand in two rows.
  below: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    borderTopWidth: stroke.thin,
    borderTopColor: colour.line,
    backgroundColor: colour.ground,
  },
  room: {
    flexGrow: 1,
    minWidth: typeSize(52),
    minHeight: 54,
    paddingHorizontal: 2,
    paddingTop: 2,
    alignItems: 'center',
    justifyContent: 'center',
    borderTopWidth: stroke.thick,
    borderTopColor: 'transparent',
  },
  here: { borderTopColor: colour.ink },
  onRooms: { color: colour.onRooms },
  hereText: { fontFamily: font.readBold },
  side: { width: typeSize(124), backgroundColor: colour.rooms, paddingVertical: space.l },
  mark: { alignItems: 'center', paddingBottom: space.xl },
  sideRoom: {
    minHeight: TARGET,
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.s,
    paddingLeft: space.m,
    borderLeftWidth: 4,
    borderLeftColor: 'transparent',
  },
  sideHere: { borderLeftColor: colour.mark },
  rule: { height: 1, backgroundColor: colour.line },
  strongRule: { height: stroke.thick, backgroundColor: colour.ink },
});
