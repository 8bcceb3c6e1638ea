import { curve, ellipse, seeded, type Line } from '../../geometry';
import { washOf } from '../colours';
import { body, pen, wash, type Sketch, type Subject } from '../sketch';
import type { Part } from '../whole';

/** The ground under a fungus, so far to both sides of it: litter, or wood. */
export function groundOf(one: Subject, reach: number): Part[] {
  const sketches = GROUNDS[one.state('substrate') ?? '']?.(reach, seeded(29));
  return sketches ? [{ of: ['substrate'], sketches }] : [];
}

const GROUNDS: Readonly<Record<string, (reach: number, next: () => number) => Sketch[]>> = {
  wood: (reach, next) => {
    const [w, h] = [reach * 1.25, reach * 0.34];
    const log = curve(
      [-w, h * 0.3],
      [-w * 0.5, 0],
      [w * 0.5, h * 0.06],
      [w, h * 0.26],
      [w * 0.98, h * 1.2],
      [0, h * 1.3],
      [-w * 0.98, h * 1.2],
    );
    const grain = Array.from({ length: 7 }, (_, i): Line => {
      const y = h * (0.42 + 0.12 * i);
      return [
        [-w * (0.9 - 0.5 * next()), y],
        [0, y + h * 0.05 * next()],
        [w * (0.9 - 0.5 * next()), y],
      ];
    });
    return [body(log, washOf('#a08a70', 0.35), { shading: 'dark' }), pen(grain, 'fine')];
  },
  soil: (reach, next) => {
    const litter = Array.from({ length: 22 }, (): Line => {
      const [x, y] = [reach * 1.15 * (2 * next() - 1), reach * 0.16 * next()];
      return [
        [x, y],
        [x + reach * 0.12 * (next() - 0.3), y - reach * 0.07 * next()],
      ];
    });
    return [wash([ellipse(0, reach * 0.07, reach * 1.15, reach * 0.1)], 'shade'), pen(litter, 'fine')];
  },
};
