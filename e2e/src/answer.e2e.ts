import { Driver, PHONE, WIDE } from "./driver";
import { openOrder } from "./orders";
import { checked, openWorld } from "./world";

const world = openWorld();

/** The open quote of the demo, as it is reached from the list of what is open, its quote unfolded. */
async function openQuote(driver: Driver): Promise<string> {
  const { page } = driver;
  await page.goto(`${world.servers.url}/open`);
  await page
    .getByRole("link", { name: /Amparo Whitlock/ })
    .or(page.getByRole("button", { name: /Amparo Whitlock/ }))
    .first()
    .click();
  await page.getByRole("button", { name: /^Quote, / }).waitFor();
  const spoken = page.getByTestId("spoken");
  if ((await spoken.count()) === 0) await page.getByTestId("section-quote").getByRole("button").first().click();
  await spoken.waitFor();
  return page.url().split("/").pop() ?? "";
}

/** The private page that was sent for a work order. */
async function pageOf(workOrderId: string): Promise<string> {
  for (;;) {
    const [link] = await world.servers.rows(
      `select token from directory.page_links where work_order_id = '${workOrderId}' limit 1`,
    );
    if (link) return `${world.servers.url}/c/${String(link.token)}`;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

it("a customer agrees on their page, in Spanish, and the mechanic's phone says so, with the parts to order next", async () => {
  const mechanic = await world.signedIn(PHONE);
  await openOrder(mechanic, "Sunniva Achterberg");
  const id = mechanic.page.url().split("/").pop() ?? "";
  await mechanic.tap(mechanic.page.getByTestId("section-quote").getByRole("button").first());
  await mechanic.type("Find a job", "front pads and rotors");
  await mechanic.button(/^Add Front pads and rotors/);
  // Another quality beside the one that stands.
  await mechanic.button(/^Front pads and rotors, /);
  await mechanic.page
    .getByRole("button", { name: /^Offer .* beside it$/ })
    .first()
    .click();
  await mechanic.page.getByText(/^Beside it: /).waitFor();
  const before = mechanic.taps;
  await mechanic.tap(mechanic.page.getByTestId("send-quote").first());
  process.stdout.write(`taps phone, the link sent: ${mechanic.taps - before} of 2\n`);
  const hers = await Driver.open(world.browser, PHONE, await pageOf(id));
  const { page } = hers;
  await page.getByTestId("agree").waitFor();
  await checked(hers, "answer-page");
  await hers.button("Español");
  await page.getByRole("heading", { name: "Su presupuesto" }).waitFor();
  // The second way is chosen, and the sum follows.
  const agree = page.getByTestId("agree");
  await hers.tap(page.getByTestId(/^way-/).getByRole("radio").first());
  const first = await agree.innerText();
  await hers.tap(page.getByTestId(/^way-/).getByRole("radio").nth(1));
  await page.waitForFunction((was) => document.querySelector('[data-testid="agree"]')?.textContent !== was, first);
  await hers.tap(agree);
  await page.getByText("Firme en el campo de arriba.").waitFor();
  await hers.sign();
  await checked(hers, "answer-signed");
  // The mechanic looks at something else, and hears of it there.
  await mechanic.page.goto(`${world.servers.url}/find`);
  await mechanic.page.getByRole("textbox").first().waitFor();
  const signedAt = performance.now();
  await hers.tap(agree);
  await mechanic.page
    .getByTestId("waiting-strip")
    .getByText(/^Sunniva Achterberg: Yes to Front pads/)
    .waitFor();
  process.stdout.write(`an answer on the mechanic's screen after ${Math.round(performance.now() - signedAt)} ms\n`);
  await page.getByText("Su respuesta está guardada y ya lo sabemos.").waitFor();
  await checked(hers, "answer-kept");
  // A time at which the parts are there is offered at once.
  await page
    .getByTestId(/^pick-time-/)
    .getByRole("radio")
    .first()
    .click();
  await page
    .getByText(/^Odile va el|^Tomas va el/)
    .first()
    .waitFor();
  await mechanic.page.goto(`${world.servers.url}/work/${id}`);
  await mechanic.page
    .getByText(/^Order 2 parts, \$/)
    .first()
    .waitFor();
  // Months later: what was agreed, to the cent.
  await mechanic.page.getByTestId("section-quote").getByRole("button").first().click();
  await mechanic.button(/^What was answered/);
  await mechanic.button(/^Frozen copy \d+/);
  await mechanic.page.getByText("Agreed in all, with taxes").waitFor();
  await checked(mechanic, "answer-frozen");
  // They think again before anything is ordered.
  await hers.button(/^Retirar mi sí a/);
  await page.getByText(/no cuesta nada/).waitFor();
  await hers.tap(page.getByTestId(/^take-back-/));
  await page.getByRole("heading", { name: "Su presupuesto" }).waitFor();
  await hers.close();
  await mechanic.close();
});

it("a yes over the phone is read back and kept in two taps", async () => {
  const office = await world.signedIn(WIDE, /Wren/);
  await openQuote(office);
  const { page } = office;
  const before = office.taps;
  await office.tap(page.getByTestId("spoken"));
  await page.getByText(/^You agree to Front pads and rotors/).waitFor();
  await checked(office, "answer-spoken");
  await office.tap(page.getByTestId("record-spoken"));
  process.stdout.write(`taps wide, a spoken yes to all: ${office.taps - before} of 2\n`);
  expect(office.taps - before).toBe(2);
  await page
    .getByTestId("next-act")
    .filter({ hasText: /^Order/ })
    .waitFor();
  // What they answered can be said back to them: it asks first, and is there without loading anything anew.
  await office.tap(page.getByTestId("section-messages").getByRole("button").first());
  await page.getByText("Send “Their answer, said back”?").waitFor();
  await office.button("Send: Their answer, said back");
  await page
    .getByTestId("section-messages")
    .getByText(/thank you for your answer on/)
    .waitFor();
  await page.getByText("Send “Their answer, said back”?").waitFor({ state: "hidden" });
  await office.close();
});
