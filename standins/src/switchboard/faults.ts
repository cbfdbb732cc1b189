import { z } from "zod";

/** What each service can be told to do wrong. */
export const FAULTS = {
  register: ["none", "slow", "down"],
  supplier: ["none", "slow", "down", "wrongPrice", "outOfStock", "answerLost"],
  terminal: ["none", "slow", "down", "declined", "answerLost"],
  messages: ["none", "slow", "down", "answerLost", "undeliverable"],
  specs: ["none", "slow", "down"],
  recalls: ["none", "slow", "down"],
  history: ["none", "slow", "down"],
  directory: ["none", "slow", "down"],
  postcodes: ["none", "slow", "down"],
  addresses: ["none", "slow", "down"],
  /** It rains all the time, for the next two days, or not at all. */
  weather: ["none", "slow", "down", "wet", "wetTwoDays", "dry"],
  routing: ["none", "slow", "down"],
  objects: ["none", "slow", "down"],
} as const;
export type Service = keyof typeof FAULTS;
export type Fault = (typeof FAULTS)[Service][number];

/** Asks for a fault: for good, or for the next `times` requests only. */
export const faultBody = z
  .strictObject({
    service: z.enum(Object.keys(FAULTS) as [Service, ...Service[]]),
    fault: z.string(),
    times: z.coerce.number().int().min(1).max(1000).optional(),
  })
  .refine(({ service, fault }) => (FAULTS[service] as readonly string[]).includes(fault), {
    message: "that service has no such fault",
    path: ["fault"],
  });

/** The switches, as they stand. */
export class Switches {
  private readonly set = new Map<Service, { fault: Fault; left: number }>();

  switch(service: Service, fault: Fault, times = Infinity): void {
    this.set.set(service, { fault, left: times });
  }

  current(service: Service): Fault {
    return this.set.get(service)?.fault ?? "none";
  }

  /** The fault for one request; counts it off. */
  take(service: Service): Fault {
    const setting = this.set.get(service);
    if (!setting) return "none";
    setting.left -= 1;
    if (setting.left <= 0) this.set.delete(service);
    return setting.fault;
  }
}
