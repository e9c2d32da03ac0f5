import type { Level } from '../brace';

/** So much of the way from the kneecap to the hip, and to the ankle. */
export const thigh = (share: number): Level => ({ from: 'mid-kneecap', to: 'trochanter', share });
export const shin = (share: number): Level => ({ from: 'mid-kneecap', to: 'malleoli', share });
