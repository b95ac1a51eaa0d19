/** What is said of a game's film. */

/** Where the camera stood: what can be seen, and so tagged, hangs on it. */
export const CAMERAS = ['sideline', 'end_zone_offense', 'end_zone_defense', 'broadcast', 'drone'] as const;
export type Camera = (typeof CAMERAS)[number];
/** For whom a film is charted. */
export const PURPOSES = ['opponent', 'own', 'neutral'] as const;
export type Purpose = (typeof PURPOSES)[number];
