import { dropDemoTemplate } from "./demoTemplate";

/** After the last test file. */
export default async function globalTeardown(): Promise<void> {
  if (process.env.DEMO_TEMPLATE) await dropDemoTemplate(process.env.DEMO_TEMPLATE);
}
