/** Daily weather: a station's file, or a made-up stand-in. */
export * from './series';
export * from './simulated';
export * from './csv';
