import { wholeOrder } from "./build";

export const WHOLE_ORDERS = [
  wholeOrder("spring-round", "Spring round, a van of a fleet", ["oil-service", "tire-rotation", "air-filter", "wipers", "check-over"]),
  wholeOrder("long-trip", "Before a long trip", ["check-over", "oil-service", "battery-test", "wipers", "cabin-filter"]),
  wholeOrder("cooling-round", "Cooling system, all that is rubber", ["radiator-hoses", "radiator-cap", "thermostat", "coolant-service"]),
]; // prettier-ignore
