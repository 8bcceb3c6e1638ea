import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import {
  likelyMatching,
  NEEDED_TERMS,
  TAKEN_TERMS,
  type Matching,
  type TakenTerm,
} from '@pause/core/formats/logbook';
import { Body, Button, Chip, ChipRow, Heading, SmallStrong, Stack } from '../../components';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/pantry';
import { loadLogbook, loadTable, saveLogbook, type Table } from './files';
import { styles } from './logbookStyles';

/** All of the logbook out into files, and files in. */
export function LogbookFiles({ today }: { readonly today: string }) {
  const act = useAct();
  const router = useRouter();
  const [lines, setLines] = useState<readonly string[]>([]);
  const [table, setTable] = useState<Table>();
  const save = (format: 'json' | 'csv' | 'occurrences') => void act(saveLogbook(format, today));
  const load = () =>
    void act(loadLogbook()).then((loaded) => {
      setLines(loaded.lines);
      setTable(loaded.table);
    });
  const take = (matching: Matching) => {
    if (!table) return;
    void act(loadTable(table, matching)).then((remarks) => {
      setLines(remarks);
      setTable(undefined);
    });
  };
  return (
    <View style={styles.block}>
      <Heading>{t.allOfItAsFiles}</Heading>
      <Body>{t.everythingThatIsOnThis}</Body>
      <View style={styles.ways}>
        <Button label={t.saveItWhole} tone="outline" onPress={() => save('json')} />
        <Button label={t.asATable} tone="outline" onPress={() => save('csv')} />
        <Button label={t.asOccurrences} tone="outline" onPress={() => save('occurrences')} />
        <Button label={t.takeAFileIn} tone="outline" onPress={load} />
        <Button label={t.pantry} tone="plain" onPress={() => router.push('/pantry')} />
      </View>
      {table ? (
        <WhichColumns
          key={table.text}
          columns={table.columns}
          onTake={take}
          onLeave={() => setTable(undefined)}
        />
      ) : null}
      <View role="status" aria-label={t.whatWasTakenIn}>
        {lines.map((line) => (
          <SmallStrong key={line}>{line}</SmallStrong>
        ))}
      </View>
    </View>
  );
}

interface ColumnsProps {
  readonly columns: readonly string[];
  readonly onTake: (matching: Matching) => void;
  readonly onLeave: () => void;
}

const TERM: Readonly<Record<TakenTerm, string>> = {
  scientificName: t.nameOfPlantOrFungus,
  eventDate: t.day,
  locality: t.placeInWords,
  occurrenceRemarks: t.columnOfNotes,
  decimalLatitude: t.latitude,
  decimalLongitude: t.longitude,
  kingdom: t.plantaeOrFungi,
};

/** Which column of a table is what: what is likely is chosen already. */
function WhichColumns({ columns, onTake, onLeave }: ColumnsProps) {
  const [matching, setMatching] = useState<Matching>(() => likelyMatching(columns));
  const missing = NEEDED_TERMS.filter((term) => matching[term] === undefined);
  return (
    <View style={styles.block} role="group" aria-label={t.whichColumnIsWhat}>
      <Heading>{t.whichColumnIsWhat}</Heading>
      <Body soft>{t.aNameAndADayAreNeeded}</Body>
      {TAKEN_TERMS.map((term) => (
        <Stack key={term} gap="s">
          <SmallStrong>{TERM[term]}</SmallStrong>
          <ChipRow label={TERM[term]}>
            {columns.map((column) => (
              <Chip
                key={column}
                label={column}
                chosen={matching[term] === column}
                onPress={() => setMatching({ ...matching, [term]: column })}
              />
            ))}
            {NEEDED_TERMS.includes(term) ? null : (
              <Chip
                label={t.notInTheFile}
                chosen={matching[term] === undefined}
                onPress={() =>
                  setMatching(Object.fromEntries(Object.entries(matching).filter(([one]) => one !== term)))
                }
              />
            )}
          </ChipRow>
        </Stack>
      ))}
      <View style={styles.ways}>
        <Button label={t.takeItIn} disabled={missing.length > 0} onPress={() => onTake(matching)} />
        <Button label={t.leaveIt} tone="plain" onPress={onLeave} />
      </View>
    </View>
  );
}
