import { makeDemoTemplate } from "./demoTemplate";
import { testZone } from "./testZone";

/** Before the first test file: the database they copy, told to all by `DEMO_TEMPLATE`, and the zone its days are of. */
export default async function globalSetup(): Promise<void> {
  process.env.DEMO_TIME_ZONE ??= testZone(new Date());
  process.env.DEMO_TEMPLATE ??= await makeDemoTemplate();
}
