import type { Config } from "../config";
import { httpAddresses } from "./addresses/httpAddresses";
import type { Addresses } from "./addresses/port";
import { httpCardTerminal } from "./cardTerminal/httpCardTerminal";
import type { CardTerminal } from "./cardTerminal/port";
import { OutsideHttp } from "./http";
import { httpMessenger } from "./messenger/httpMessenger";
import type { Messenger } from "./messenger/port";
import { httpPhoneDirectory } from "./phoneDirectory/httpPhoneDirectory";
import type { PhoneDirectory } from "./phoneDirectory/port";
import { httpPlateRegister } from "./plateRegister/httpPlateRegister";
import type { PlateRegister } from "./plateRegister/port";
import { httpPostcodes } from "./postcodes/httpPostcodes";
import type { Postcodes } from "./postcodes/port";
import { httpRecalls } from "./recalls/httpRecalls";
import type { Recalls } from "./recalls/port";
import { httpRouting } from "./routing/httpRouting";
import type { RoutingServer } from "./routing/port";
import { httpServiceHistory } from "./serviceHistory/httpServiceHistory";
import type { ServiceHistory } from "./serviceHistory/port";
import { httpSpecs } from "./specs/httpSpecs";
import type { Specs } from "./specs/port";
import { httpSuppliers } from "./suppliers/httpSuppliers";
import type { Suppliers } from "./suppliers/port";
import { httpWeather } from "./weather/httpWeather";
import type { Weather } from "./weather/port";

/** Everything outside our walls, one port a kind. Each call throws an OutsideError when the other side fails. */
export interface Outside {
  plateRegister: PlateRegister;
  suppliers: Suppliers;
  cardTerminal: CardTerminal;
  directory: PhoneDirectory;
  postcodes: Postcodes;
  addresses: Addresses;
  specs: Specs;
  recalls: Recalls;
  serviceHistory: ServiceHistory;
  messenger: Messenger;
  weather: Weather;
  /** null: none is configured. */
  routing: RoutingServer | null;
}

/** The outside as the stand-ins speak it. */
export function connectOutside({
  standinsUrl: baseUrl,
  outsideTimeoutMs,
  routingUrl,
  publicUrl,
}: Pick<Config, "standinsUrl" | "outsideTimeoutMs" | "routingUrl" | "publicUrl">): Outside {
  const http = new OutsideHttp(outsideTimeoutMs);
  return {
    plateRegister: httpPlateRegister(http, baseUrl),
    suppliers: httpSuppliers(http, baseUrl),
    cardTerminal: httpCardTerminal(http, baseUrl),
    directory: httpPhoneDirectory(http, baseUrl),
    postcodes: httpPostcodes(http, baseUrl),
    addresses: httpAddresses(http, baseUrl),
    specs: httpSpecs(http, baseUrl),
    recalls: httpRecalls(http, baseUrl),
    serviceHistory: httpServiceHistory(http, baseUrl),
    messenger: httpMessenger(http, baseUrl, `${publicUrl}/api/outside/messages`),
    weather: httpWeather(http, baseUrl),
    routing: routingUrl === null ? null : httpRouting(http, routingUrl),
  };
}
