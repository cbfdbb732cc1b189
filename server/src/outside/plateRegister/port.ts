import { z } from "zod";

export const registerCar = z.object({
  vin: z.string().nullable(),
  plate: z.string(),
  color: z.string().nullable(),
  year: z.number().nullable(),
  make: z.string().nullable(),
  model: z.string().nullable(),
});
export type RegisterCar = z.infer<typeof registerCar>;

/** The cars behind a plate, as the state's register has them. Throws an OutsideError when it fails. */
export interface PlateRegister {
  carsBehind(region: string, plateKey: string): Promise<RegisterCar[]>;
}
