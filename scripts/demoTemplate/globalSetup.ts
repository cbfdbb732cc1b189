import { makeDemoTemplate } from "./demoTemplate";

/** Before the first test file: the database they copy, told to all by `DEMO_TEMPLATE`. */
export default async function globalSetup(): Promise<void> {
  process.env.DEMO_TEMPLATE ??= await makeDemoTemplate();
}
