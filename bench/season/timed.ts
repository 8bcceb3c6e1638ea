import { compileGuide, type Guide } from '@pause/core';
import { dayOf } from '@pause/core/lib/day';
import { Season, weekSteps, type SeenPlace } from '@pause/core/season';
import { seeded, simulateWeather } from '@pause/core/season/weather';
import { shippedGuide } from '@pause/guide';
import { YEAR } from './visits';

/** A guide with so many wanted taxa: those that ship, and copies of them under other names. */
function manyWanted(count: number): Guide {
  const shipped = shippedGuide();
  const wanted = shipped.taxa.filter(({ parts, needs }) => parts.length > 0 && needs);
  const copies = Array.from({ length: count }, (_, index) => {
    const taxon = wanted[index % wanted.length];
    if (!taxon) throw new Error('the guide has nothing wanted');
    return index < wanted.length
      ? taxon
      : {
          ...taxon,
          id: `${taxon.id}-${Math.floor(index / wanted.length)}` as typeof taxon.id,
          lookalikes: [],
          nearDoubles: [],
        };
  });
  return { ...shipped, taxa: [...shipped.taxa.filter((taxon) => !wanted.includes(taxon)), ...copies] };
}

export interface Timed {
  readonly places: number;
  readonly taxa: number;
  readonly everything: boolean;
  readonly listed: number;
  readonly learning: number;
  readonly listing: number;
}

/**
 * Milliseconds for the list of a week, with three years of weather and, at every place, three years of
 * records of ten taxa.
 *
 * @param everything whether everything wanted is looked up everywhere, and not only what was seen at each
 * place, as the application does
 */
export function timed(places: number, taxa: number, everything = true): Timed {
  const many = compileGuide(manyWanted(taxa));
  const series = simulateWeather(3, YEAR - 3, dayOf(`${YEAR}-08-10`));
  const random = seeded(places);
  const wanted = many.taxa.filter(({ taxon }) => taxon.parts.length > 0 && taxon.needs);
  const all = Array.from({ length: places }, (_, index): SeenPlace => ({
    id: `place-${index}`,
    site: {
      elevation: Math.round(450 + random() * 1100),
      aspect: (['n', 'e', 's', 'w', 'flat'] as const)[Math.floor(random() * 5)],
      shade: (['open', 'half', 'shaded'] as const)[Math.floor(random() * 3)],
    },
    sightings: Array.from({ length: 10 }, () => wanted[Math.floor(random() * wanted.length)]).flatMap(
      (taxon) =>
        taxon
          ? [1, 2, 3].flatMap(
              (back) =>
                [
                  { taxon: taxon.id, what: 'nothing', on: `${YEAR - back}-04-2${Math.floor(random() * 9)}` },
                  {
                    taxon: taxon.id,
                    what: 'seen',
                    stages: [taxon.taxon.stages[1] ?? taxon.taxon.stages[0]],
                    on: `${YEAR - back}-06-1${Math.floor(random() * 9)}`,
                  },
                ] as SeenPlace['sightings'],
            )
          : [],
    ),
  }));
  const start = performance.now();
  const season = new Season(many, series, all, dayOf(`${YEAR}-08-10`));
  const learnt = performance.now();
  const steps = weekSteps(season, () => true, everything);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return {
    places,
    taxa,
    everything,
    listed: step.value.length,
    learning: learnt - start,
    listing: performance.now() - learnt,
  };
}
