import type { Driver } from "./driver";

const NAMES = {
  sound: "Sound",
  watch: "Watch",
  act: "Act now",
  unsafe: "Unsafe",
  skipped: "Not seen",
} as const;

/** Opens the check of the work order that is shown. */
export async function openCheck(driver: Driver): Promise<void> {
  const { page } = driver;
  const section = page.getByTestId("section-check");
  await section.waitFor();
  if (!(await page.getByTestId("open-check").isVisible())) await driver.tap(section.getByRole("button").first());
  await driver.tap(page.getByTestId("open-check"));
  await page.getByTestId("progress").waitFor();
}

/** Brings a point under the thumb. */
export async function pickPoint(driver: Driver, pointId: string, title: string): Promise<void> {
  await driver.tap(driver.page.getByTestId(`point-${pointId}`));
  await driver.page.getByLabel(`At hand: ${title}`).waitFor();
}

/** Grades the point under the thumb. */
export async function gradeHere(driver: Driver, grade: keyof typeof NAMES): Promise<void> {
  await driver.tap(driver.page.getByTestId("grades").getByRole("radio", { name: NAMES[grade] }));
}
