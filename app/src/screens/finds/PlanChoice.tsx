import { View, Pressable } from 'react-native';
import type { BodyPlan, Kingdom } from '@pause/core';
import { colour, Strong, Small, Button, useWide, Heading } from '../../components';
import { BodyPlanGlyph } from '../../components/plates/BodyPlanGlyph';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/newFind';
import { styles } from './newFindStyles';

/** Choosing a body plan. */

/** On a phone only the chosen form is shown, so that the names come into view. */
export function ChosenPlan({ plan, onAgain }: { readonly plan: BodyPlan; readonly onAgain: () => void }) {
  return (
    <View style={styles.chosen} role="radiogroup" aria-label={t.theFormChosen}>
      <View style={styles.chosenPlan} role="radio" aria-checked aria-label={`${plan.name}: ${plan.hint}`}>
        <BodyPlanGlyph plan={plan.id} size={56} colour={colour.ink} />
        <View style={styles.grow}>
          <Strong>{plan.name}</Strong>
          <Small soft>{plan.hint}</Small>
        </View>
      </View>
      <Button label={t.change} tone="plain" onPress={onAgain} />
    </View>
  );
}

export function Plans({
  kingdom,
  title,
  plan,
  onPlan,
}: {
  readonly kingdom: Kingdom;
  readonly title: string;
  readonly plan: string | undefined;
  readonly onPlan: (plan: string) => void;
}) {
  const wide = useWide();
  const size = wide ? 72 : 54;
  return (
    <View style={styles.field}>
      <Heading>{title}</Heading>
      <View style={styles.plans} role="radiogroup" aria-label={title}>
        {guide.guide.bodyPlans
          .filter((p) => p.kingdom === kingdom)
          .map((p) => (
            <Pressable
              key={p.id}
              role="radio"
              aria-checked={p.id === plan}
              aria-label={`${p.name}: ${p.hint}`}
              onPress={() => onPlan(p.id)}
              style={[styles.plan, wide && styles.planWide, p.id === plan && styles.planChosen]}
            >
              <BodyPlanGlyph plan={p.id} size={size} colour={colour.ink} />
              <Strong style={styles.planName}>{p.name}</Strong>
            </Pressable>
          ))}
      </View>
    </View>
  );
}
