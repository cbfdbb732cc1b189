import { Driver, PHONE, WIDE } from "./driver";
import { tinyPng } from "./pictures";
import { gradeHere } from "./check";
import { checked, openWorld } from "./world";

/** Tap budgets: the call up to the saved work order, and the whole visit up to the texted receipt. */
const CALL_TAPS = 12;
const WHOLE_TAPS = 48;

const world = openWorld();

describe.each([
  {
    viewport: PHONE,
    caller: {
      name: "ottilie brandt",
      shown: "Ottilie Brandt",
      phone: "(360) 555-0141",
      plate: "fry-5083",
      car: "2015 Ford Fusion",
    },
    money: "card",
  },
  {
    viewport: WIDE,
    caller: {
      name: "Ruben Castell",
      shown: "Ruben Castell",
      phone: "360.555.0142",
      plate: "KLP 7724",
      car: "2014 Subaru Forester",
    },
    money: "cash",
  },
])("a first visit on a $viewport.name screen", ({ viewport, caller, money }) => {
  it("goes from the call to the paid receipt, and is found again after a restart", async () => {
    const driver = await Driver.open(world.browser, viewport, world.servers.url);
    const { page } = driver;
    await checked(driver, "sign-in");
    await driver.button(/Odile Farrow/);

    // The day, and what is open.
    await page.getByRole("list", { name: "Stops" }).waitFor();
    await checked(driver, "day");
    await driver.tap(page.getByRole("link", { name: "Open", exact: true }));
    await page.getByRole("heading", { name: "Waits for an answer" }).waitFor();
    await checked(driver, "open");
    const signInTaps = driver.taps;

    // The call: who, what, which car, when.
    await driver.tap(page.getByRole("link", { name: "New", exact: true }));
    await driver.type("Name or business", caller.name);
    await driver.type("Phone", caller.phone);
    await driver.type("Street and number", "27 her");
    await driver.button(/27 Heron Landing/);
    await driver.tap(page.getByRole("checkbox", { name: "Brakes grind" }));
    await driver.type("Plate", caller.plate);
    await driver.button("Look up the plate");
    await page.getByText(caller.car).waitFor();
    await checked(driver, "new-car");
    await driver.button("Yes, this one");
    await driver.tap(page.getByRole("radio", { name: "Today", exact: true }));
    await driver.tap(page.getByTestId("slot-start").getByRole("radio").first());
    await checked(driver, "new-ready");
    await driver.tap(page.getByTestId("save-work"));

    // On site.
    await page.getByRole("heading", { name: caller.shown, level: 1 }).waitFor();
    const callTaps = driver.taps - signInTaps;
    await driver.button("Say I'm on my way");
    await driver.button("I'm here");
    await driver.tap(page.getByTestId("place-safe"));
    await driver.type("Odometer, miles", "88120");
    await driver.button("Check 10 points");
    await page.getByTestId("active-point").waitFor();
    await checked(driver, "check");
    await driver.tap(page.getByTestId("value-8"));
    await page.getByLabel("At hand: Front brake pads").waitFor();
    await driver.tap(page.getByTestId("value-2"));
    await page.getByText("Pad 2 mm. Limit of the sheet: at least 3 mm.").waitFor();
    await page
      .getByTestId("photo-frontPads")
      .setInputFiles({ name: "pads.png", mimeType: "image/png", buffer: tinyPng() });
    await page.getByRole("img", { name: "Front brake pads, photo 1" }).waitFor();
    await driver.tap(page.getByTestId("cure-front-brakes"));
    await page.getByText("On the quote: Front pads and rotors").waitFor();
    await checked(driver, "check-found");
    await driver.tap(page.getByTestId("next-point"));
    await driver.tap(page.getByTestId("value-7"));
    await driver.tap(page.getByTestId("rest-Under the hood"));
    await driver.tap(page.getByTestId("rest-Underneath"));
    await page.getByLabel("At hand: Wipers and washers").waitFor();
    await gradeHere(driver, "watch");
    await driver.tap(page.getByTestId("cure-wipers"));
    await driver.tap(page.getByTestId("next-point"));
    await gradeHere(driver, "sound");
    await driver.tap(page.getByTestId("close-sheet-sure"));

    // The quote, with a quantity changed and the margin in sight.
    await driver.button(/^[\d.]+ h Replace front pads and rotors/);
    await driver.button("Hours of Replace front pads and rotors more");
    await page.getByText("Hours typed by hand").waitFor();
    await page
      .getByText(/^Margin: /)
      .first()
      .waitFor();
    await checked(driver, "quote");
    await driver.button(/^Show quote, \$/);

    // Turned to the customer.
    await page.getByRole("heading", { name: "What it takes" }).waitFor();
    await expect(page.getByText(/Margin/).count()).resolves.toBe(0);
    await driver.tap(
      page
        .getByRole("radiogroup", { name: "Your answer on Front pads and rotors" })
        .getByRole("radio", { name: "Yes" }),
    );
    await driver.tap(
      page.getByRole("radiogroup", { name: /^Your answer on Wiper blades/ }).getByRole("radio", { name: "Later" }),
    );
    await driver.sign();
    await checked(driver, "customer");
    await driver.tap(page.getByTestId("agree"));
    await driver.tap(page.getByTestId("hand-back"));

    // Parts from the supplier.
    await page.getByTestId("order-parts").waitFor();
    await checked(driver, "parts");
    await driver.tap(page.getByTestId("order-parts"));
    await page
      .getByText(/GH-\d{6}/)
      .first()
      .waitFor();
    await driver.tap(page.getByTestId("take-in"));
    await driver.button("Finish 1 job");

    // Money: a declined card first, then the card or cash.
    await driver.button("Card");
    await world.servers.fault("terminal", "declined", 1);
    await driver.tap(page.getByTestId("take-card"));
    await page
      .getByRole("alert")
      .getByText(/Card declined/)
      .waitFor();
    await checked(driver, "declined");
    if (money === "card") {
      await driver.tap(page.getByTestId("take-card"));
    } else {
      await driver.button("Cash");
      await driver.tap(page.getByRole("radiogroup", { name: "Handed over" }).getByRole("radio").last());
      await checked(driver, "cash");
      await driver.tap(page.getByTestId("take-cash"));
    }

    // The receipt, on screen and by text.
    await driver.tap(page.getByTestId("next-act").filter({ hasText: "Show receipt" }));
    await page.getByText("Paid in full").waitFor();
    await checked(driver, "receipt");
    await driver.tap(page.getByTestId("text-receipt"));
    await page.getByText(/^Text, (sent|arrived)$/).waitFor();
    await driver.tap(page.getByTestId("leave"));
    await page.getByRole("list", { name: "Stops" }).waitFor();
    expect(callTaps).toBeLessThanOrEqual(CALL_TAPS);
    expect(driver.taps - signInTaps).toBeLessThanOrEqual(WHOLE_TAPS);
    process.stdout.write(
      `taps ${viewport.name}: ${JSON.stringify({ call: callTaps, whole: driver.taps - signInTaps, letters: driver.letters })}\n`,
    );

    // Where the first free time is later today they are told of the visit, too.
    const texts = (await textsTo(caller.phone)).filter((text) => !text.includes(" comes "));
    expect(texts).toEqual([expect.stringMatching(/Odile is on the way/), expect.stringMatching(/Your receipt/)]);
    const link = await lastLinkTo(caller.phone);
    const phone = await Driver.open(world.browser, viewport, link);
    await phone.page.getByText("Paid in full").waitFor();
    expect(await phone.violations()).toEqual([]);
    const pdf = await phone.context.request.get(`${link.replace("/r/", "/api/public/receipts/")}/pdf`);
    expect((await pdf.body()).subarray(0, 5).toString()).toBe("%PDF-");
    await phone.close();

    // Everything is there again after the server was stopped and started.
    await world.servers.stopServer();
    await world.servers.startServer();
    await page.goto(`${world.servers.url}/find`);
    await driver.type(/Name, phone/, caller.phone.replace(/\D/g, "").slice(-7));
    await page.getByRole("link", { name: `Customer ${caller.shown}` }).waitFor();
    await checked(driver, "find");
    await driver.tap(page.getByRole("link", { name: `Customer ${caller.shown}` }));
    await page.getByText(caller.car).first().waitFor();
    await checked(driver, "customer-sheet");
    await driver.button(/^Past work/);
    await driver.tap(page.getByRole("link", { name: /Work order \d+.*Closed/ }));
    await page
      .getByTestId("section-money")
      .getByText(/Paid \$/)
      .waitFor();

    // A second visit on the same work order.
    await driver.tap(page.getByTestId("section-visits").getByRole("button").first());
    await driver.button("Book another visit");
    await driver.tap(page.getByRole("radiogroup", { name: "Day" }).getByRole("radio").nth(2));
    await driver.tap(page.getByTestId("slot-start").getByRole("radio").first());
    await driver.tap(page.getByTestId("book-visit"));
    await page.getByText("Saved", { exact: true }).waitFor();
    await page.getByTestId("section-visits").getByText("Booked", { exact: true }).waitFor();
    await driver.close();
  });
});

async function textsTo(phone: string): Promise<string[]> {
  const digits = phone.replace(/\D/g, "");
  const sent = (await (await fetch(`${world.servers.standins}/phone.json`)).json()) as { to: string; text: string }[];
  return sent.filter(({ to }) => to.endsWith(digits)).map(({ text }) => text);
}

async function lastLinkTo(phone: string): Promise<string> {
  const text = (await textsTo(phone)).at(-1) ?? "";
  const link = /https?:\/\/\S+/.exec(text)?.[0];
  if (!link) throw new Error(`no link in "${text}"`);
  return link;
}
