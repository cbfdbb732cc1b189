/** Kilograms one tire carries, by load index from 0. @see ISO 4000-1 */
const LOAD_KG = [
  45, 46.2, 47.5, 48.7, 50, 51.5, 53, 54.5, 56, 58, 60, 61.5, 63, 65, 67, 69, 71, 73, 75, 77.5, 80, 82.5, 85, 87.5, 90,
  92.5, 95, 97.5, 100, 103, 106, 109, 112, 115, 118, 121, 125, 128, 132, 136, 140, 145, 150, 155, 160, 165, 170, 175,
  180, 185, 190, 195, 200, 206, 212, 218, 224, 230, 236, 243, 250, 257, 265, 272, 280, 290, 300, 307, 315, 325, 335,
  345, 355, 365, 375, 387, 400, 412, 425, 437, 450, 462, 475, 487, 500, 515, 530, 545, 560, 580, 600, 615, 630, 650,
  670, 690, 710, 730, 750, 775, 800, 825, 850, 875, 900, 925, 950, 975, 1000, 1030, 1060, 1090, 1120, 1150, 1180, 1215,
  1250, 1285, 1320, 1360, 1400, 1450, 1500, 1550, 1600, 1650, 1700, 1750, 1800, 1850, 1900, 1950, 2000, 2060, 2120,
  2180, 2240, 2300, 2360, 2430, 2500, 2575, 2650, 2725, 2800, 2900, 3000, 3075, 3150, 3250, 3350, 3450, 3550, 3650,
  3750, 3875, 4000, 4125, 4250, 4375, 4500, 4625, 4750, 4875, 5000, 5150, 5300, 5450, 5600, 5800, 6000,
] as const;

/** Highest speed by symbol, km/h; Z only says "over 240". @see ISO 4000-1 */
const SPEED_KMH: Readonly<Record<string, number>> = {
  A1: 5, A2: 10, A3: 15, A4: 20, A5: 25, A6: 30, A7: 35, A8: 40, B: 50, C: 60, D: 65, E: 70, F: 80, G: 90, J: 100, K: 110, L: 120,
  M: 130, N: 140, P: 150, Q: 160, R: 170, S: 180, T: 190, U: 200, H: 210, V: 240, W: 270, Y: 300,
}; // prettier-ignore

/** Load of a load index. @returns kg; null where the table has none. @see calculations.md, tire */
export function loadKg(loadIndex: number): number | null {
  return LOAD_KG[loadIndex] ?? null;
}

/** Speed of a speed symbol. @returns km/h; null where the table has none. @see calculations.md, tire */
export function speedKmh(symbol: string): number | null {
  return SPEED_KMH[symbol] ?? null;
}
