import { t } from '../../text/en/places';
/** Where the phone is. */

/**
 * The way of the demo's simulated walker: from Lower Ostrel past the weir up to the Vessen hut and the Tollar
 * ridge.
 */
const WAY = [
  [12.1608, 46.4961],
  [12.1762, 46.5015],
  [12.1888, 46.5069],
  [12.2, 46.5078],
  [12.193, 46.515],
  [12.1958, 46.5222],
  [12.2028, 46.5294],
  [12.2112, 46.5366],
  [12.2182, 46.542],
  [12.2308, 46.5474],
] as const;

/** Minutes from one point of it to the next; at the last one it begins anew. */
const MINUTES = 10;

/** Where the simulated walker is at an instant. */
export function simulatedWalker(ms: number): readonly [number, number] {
  const along = (ms / 60_000 / MINUTES) % (WAY.length - 1);
  const [a, b] = [WAY[Math.floor(along)], WAY[Math.floor(along) + 1]];
  if (!a || !b) return [WAY[0][0], WAY[0][1]];
  const share = along - Math.floor(along);
  const at = (axis: 0 | 1) => Number((a[axis] + (b[axis] - a[axis]) * share).toFixed(5));
  return [at(0), at(1)];
}

/** Longitude and latitude; or why the phone does not tell. */
export function whereIStand(demo: boolean): Promise<readonly [number, number] | string> {
  if (demo) return Promise.resolve(simulatedWalker(Date.now()));
  if (!('geolocation' in navigator)) return Promise.resolve(t.thisBrowserDoesNotGive);
  return new Promise((resolve) => {
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => resolve([coords.longitude, coords.latitude]),
      () => resolve(t.thePhoneDidNotGive),
      { enableHighAccuracy: true, timeout: 20_000 },
    );
  });
}
