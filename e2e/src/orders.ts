import type { Driver } from "./driver";

/** Opens a work order of a customer who is kept. */
export async function openOrder(driver: Driver, name: string): Promise<void> {
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "New", exact: true }));
  await driver.type("Name or business", name);
  await driver.tap(page.getByRole("button", { name: new RegExp(name) }).first());
  await driver.tap(page.getByTestId("save-work"));
  await page.getByRole("heading", { name, level: 1 }).waitFor();
}
