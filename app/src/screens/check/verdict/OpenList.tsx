import { Link, useRouter } from 'expo-router';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { Pressable, StyleSheet, View } from 'react-native';
import type { AskedPlan, FindRecord, Verdict } from '@pause/core';
import { Body, Button, colour, Heading, Small, space, Stack, TARGET } from '../../../components';
import { t } from '../../../text/en/verdict';
import { listed } from '../../../text/messages';
import { lowerFirst, timeWords } from '../../../text/names';
import { useEatersQuestion } from '../useHousehold';
import { openSteps, type OpenStep } from './openSteps';

interface OpenListProps {
  readonly record: FindRecord;
  readonly verdict: Verdict;
  readonly plan: AskedPlan;
}

/** What is still open, in the order in which it can be closed; a button leads to the first of it. */
export function OpenList({ record, verdict, plan }: OpenListProps) {
  const router = useRouter();
  const eaters = useEatersQuestion(record, verdict.target);
  const steps = openSteps(record.id, verdict, plan, eaters.open);
  const [first] = steps;
  if (!first) return null;
  return (
    <Stack gap="m">
      <Button label={t.whatWouldChangeIt(lowerFirst(first.label))} onPress={() => router.push(first.to)} />
      <Stack gap="s">
        <Heading>{t.stillOpen}</Heading>
        {plan.feasible && plan.seconds > 0 ? (
          <Body soft>
            {plan.gear.length > 0
              ? t.allLooksWith(timeWords(plan.seconds), listed(plan.gear))
              : t.allLooks(timeWords(plan.seconds))}
          </Body>
        ) : null}
        <View role="list" aria-label={t.stillOpen}>
          {steps.map((step) => (
            <Step key={step.key} step={step} />
          ))}
        </View>
      </Stack>
    </Stack>
  );
}

function Step({ step: { label, detail, to } }: { readonly step: OpenStep }) {
  return (
    <View role="listitem">
      <Link href={to} asChild>
        <Pressable role="link" style={styles.step}>
          <Body style={styles.grow}>{label}</Body>
          {detail ? <Small soft>{detail}</Small> : null}
          <ChevronRight size={20} color={colour.ink} strokeWidth={2.25} />
        </Pressable>
      </Link>
    </View>
  );
}

const styles = StyleSheet.create({
  step: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET,
    borderTopWidth: 1,
    borderTopColor: colour.line,
    paddingVertical: space.xs,
  },
  grow: { flex: 1 },
});
