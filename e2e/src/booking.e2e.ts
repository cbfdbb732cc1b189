import { Driver, PHONE, WIDE } from "./driver";
import { checked, openWorld } from "./world";

const world = openWorld();

// Before anybody asks: what was forecast stays so for a while.
beforeAll(() => world.servers.fault("weather", "wetTwoDays"));

/** Opens the calendar on the day of the demo's visits to come. */
async function calendarTomorrow(driver: Driver): Promise<void> {
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "Calendar", exact: true }));
  await driver.tap(page.getByRole("radio", { name: "Day", exact: true }));
  await driver.button("After");
}

/** The link to a new time in the last message, once it went out. */
async function linkSent(): Promise<string> {
  for (;;) {
    const sent = (await (await fetch(`${world.servers.standins}/phone.json`)).json()) as { text: string }[];
    const link = sent.map(({ text }) => /http\S+\/t\/[\w-]+/.exec(text)?.[0]).findLast((found) => found !== undefined);
    if (link !== undefined) return link;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const visitOf = (driver: Driver, name: RegExp) => driver.page.getByRole("button", { name }).first();

describe("the calendar", () => {
  it("moves a visit by two taps and one yes on a phone, and takes it back", async () => {
    const driver = await world.signedIn(PHONE);
    const { page } = driver;
    await driver.tap(page.getByRole("link", { name: "Calendar", exact: true }));
    await page.getByRole("heading", { name: /^Today, / }).waitFor();
    await checked(driver, "calendar-week");
    await driver.tap(page.getByRole("radio", { name: "Day", exact: true }));
    await driver.button("After");
    const visit = visitOf(driver, /Linus Featherstone/);
    await visit.waitFor();
    const before = driver.taps;
    await driver.tap(visit);
    await page.getByRole("button", { name: "Move to 2:00 pm" }).first().waitFor();
    await checked(driver, "calendar-day");
    await driver.tap(page.getByRole("button", { name: "Move to 2:00 pm" }).first());
    await driver.tap(page.getByTestId("move-here"));
    expect(driver.taps - before).toBe(3);
    await visitOf(driver, /^2:00 pm to .*Linus Featherstone/).waitFor();
    await driver.tap(page.getByTestId("undo-move"));
    await visitOf(driver, /^11:30 am to .*Linus Featherstone/).waitFor();
    await driver.close();
  });

  it("drags a visit to another day on a wide screen, says what that breaks before it is done, and takes it back by key", async () => {
    const driver = await world.signedIn(WIDE);
    const { page } = driver;
    await calendarTomorrow(driver);
    const visit = visitOf(driver, /Harbor Bread Deliveries/);
    const taken = visitOf(driver, /Bram Castellanos/);
    const [from, to] = [await visit.boundingBox(), await taken.boundingBox()];
    if (!from || !to) throw new Error("the visits are not in sight");
    const grip = { x: from.x + from.width / 2, y: from.y + 10 };
    await page.mouse.move(grip.x, grip.y);
    await page.mouse.down();
    await page.mouse.move(grip.x, grip.y - 20, { steps: 4 });
    await page.mouse.move(grip.x, to.y + 12, { steps: 8 });
    await page.mouse.up();
    await page.getByText(/It runs into Bram Castellanos/).waitFor();
    await checked(driver, "calendar-breaks");
    await driver.button("Leave it where it is");

    // By the keys alone: picked, moved by two quarter hours, done, taken back.
    const time = page.locator('[aria-label="The visit"]');
    await visit.focus();
    await page.keyboard.press("Escape");
    await page.keyboard.press("Escape");
    await visit.focus();
    await page.keyboard.press("Enter");
    await time.getByText("Drag it, or alt with the arrows.").waitFor();
    await page.keyboard.press("Alt+ArrowDown");
    await page.keyboard.press("Alt+ArrowDown");
    await page.locator('[data-testid="move-here"]:not([aria-disabled="true"])').waitFor();
    await page.keyboard.press("m");
    await visitOf(driver, /^2:00 pm to .*Harbor Bread Deliveries/).waitFor();
    await page.keyboard.press("u");
    await visitOf(driver, /^1:30 pm to .*Harbor Bread Deliveries/).waitFor();
    await page.keyboard.press("2");
    await page.getByRole("heading", { name: /Mon .* to .*Sun / }).waitFor();
    await checked(driver, "calendar-week");
    await driver.close();
  });
});

describe("booking from the office", () => {
  it("asks what is asked before, says what the place does not have, holds the times, and shares a trip", async () => {
    const driver = await world.signedIn(WIDE);
    const { page } = driver;
    await driver.tap(page.getByRole("link", { name: "New", exact: true }));
    await driver.type("Name or business", "Delphine Marsh");
    await driver.tap(page.getByRole("button", { name: /Delphine Marsh/ }).first());
    await page.getByText(/held for you until/).waitFor();
    await driver.button(/^Asked before/);
    await driver.tap(page.getByRole("radiogroup", { name: "Does it start?" }).getByRole("radio", { name: "No" }));
    await page.getByText(/^Soonest for /).waitFor();
    await driver.tap(page.getByTestId("best-times").getByRole("radio").first());
    await checked(driver, "asked-before");
    await driver.tap(page.getByTestId("save-work"));
    await page.getByRole("heading", { name: "Delphine Marsh", level: 1 }).waitFor();
    await page.getByText("Saved", { exact: true }).waitFor();
    const visits = page.getByTestId("section-visits");
    const folded = visits.getByRole("button", { name: /^Asked before, does not start/ });
    if (!(await folded.isVisible())) await driver.tap(visits.getByRole("button").first());
    await folded.waitFor();
    await visits.getByText(/Booked, urgent/).waitFor();

    // Promised, locked, and called off for a reason that is kept.
    await driver.button("More");
    await driver.button("Ready by");
    await driver.type("Promised ready by", "11 pm");
    await driver.tap(page.getByTestId("promise"));
    await visits.getByText(/^Promised ready by .*11:00 pm/).waitFor();
    await driver.button("Lock to its time");
    await visits.getByText(/locked to its time/).waitFor();
    await checked(driver, "visit-more");
    await driver.button("Call it off");
    await driver.tap(page.getByRole("radio", { name: "They called it off" }));
    await driver.tap(page.getByTestId("call-off"));
    await visits.getByText(/called off, they called it off/).waitFor();
    await driver.close();
  });

  it("finds a place that has no address by a pin on the drawn roads", async () => {
    const driver = await world.signedIn(PHONE);
    const { page } = driver;
    await driver.tap(page.getByRole("link", { name: "New", exact: true }));
    await driver.emptySheet();
    await driver.type("Name or business", "Quill Ashby");
    await driver.button("Put a pin on the map");
    await page.getByText(/^At the pin: |^No named road/).waitFor();
    await driver.button("East");
    await driver.button("Nearer");
    await checked(driver, "pin-map");
    await driver.tap(page.getByTestId("pin-here"));
    await page.getByRole("button", { name: "On the map; move the pin" }).waitFor();
    await page.getByText(/^Best for 60 min; held for you until/).waitFor();
    await driver.emptySheet();
    await driver.close();
  });
});

describe("a wet day", () => {
  it("finds dry times in one act, sends what asks in the next, and moves who says yes by the link", async () => {
    const driver = await world.signedIn(PHONE);
    const { page } = driver;
    await driver.tap(page.getByRole("link", { name: "Calendar", exact: true }));
    await driver.tap(page.getByRole("radio", { name: "List", exact: true }));
    await page.getByRole("heading", { name: /^Tomorrow, / }).waitFor();
    await driver.tap(page.getByRole("button", { name: /^Find dry times, / }).nth(1));
    await driver.tap(page.getByTestId("find-times"));
    const row = page.getByRole("group", { name: "Harbor Bread Deliveries" });
    await row.getByText("Ready to send").waitFor();
    await checked(driver, "wet-day");
    await driver.tap(page.getByTestId("send-asks"));
    await row.getByText(/^Asked, until /).waitFor();

    // On the customer's own phone.
    const customer = await Driver.open(world.browser, PHONE, await linkSent());
    await customer.page.getByRole("heading", { name: /^Could we come .* instead\?$/ }).waitFor();
    await checked(customer, "new-time");
    await customer.tap(customer.page.getByTestId("say-yes"));
    await customer.page.getByRole("heading", { name: "Thank you" }).waitFor();
    await customer.close();

    await row.getByText("Said yes: moved").waitFor();
    await driver.close();
  });
});

it("shows the visits in other calendars by a link that is made and renewed", async () => {
  const driver = await world.signedIn(PHONE);
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "Calendar", exact: true }));
  await driver.button("In other calendars");
  await driver.button("Make a link, Odile Farrow");
  const link = page.getByRole("textbox", { name: "Link, Odile Farrow" });
  await link.waitFor();
  await checked(driver, "calendar-links");
  const before = await link.inputValue();
  expect(await (await fetch(before)).text()).toContain("BEGIN:VCALENDAR");
  await driver.button("Renew, Odile Farrow");
  await driver.button("Renew it: the one of before ends");
  await page.waitForFunction(
    (old) => document.querySelector<HTMLInputElement>('[aria-label="Link, Odile Farrow"]')?.value !== old,
    before,
  );
  expect((await fetch(before)).status).toBe(404);
  await driver.close();
});

it("lets the owner set what stands about visits and crews", async () => {
  const driver = await world.signedIn(PHONE);
  const { page } = driver;
  await page.goto(`${world.servers.url}/settings/visits`);
  await page.getByTestId("save-visits").waitFor();
  await checked(driver, "visit-settings");
  await page.goto(`${world.servers.url}/settings/crew`);
  await page.getByTestId("save-crew").waitFor();
  await checked(driver, "crew-settings");
  await driver.close();
});
