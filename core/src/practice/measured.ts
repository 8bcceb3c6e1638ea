/** Numbers whose length is on the drawing of a whole, so that they can be read off it. */
export const MEASURED: readonly string[] = ['cap.width', 'stipe.length', 'leaf.length', 'plant.height'];
