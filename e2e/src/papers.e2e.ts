import { Driver, PHONE, WIDE } from "./driver";
import { openOrder } from "./orders";
import { checked, openWorld } from "./world";

const world = openWorld();

interface Sent {
  to: string;
  channel: string;
  text: string;
  attachment: { name: string; base64: string } | null;
}
/** What arrived at somebody's phone or mailbox last. */
async function arrived(to: string): Promise<Sent> {
  for (;;) {
    const sent = (await (await fetch(`${world.servers.standins}/phone.json`)).json()) as Sent[];
    const found = sent.filter((each) => each.to === to).at(-1);
    if (found) return found;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

it("a quote is put in words for this customer, printed, mailed with its PDF, and reads the same on their page", async () => {
  const mechanic = await world.signedIn(PHONE);
  const { page } = mechanic;
  await openOrder(mechanic, "Sunniva Achterberg");
  await mechanic.tap(page.getByTestId("section-quote").getByRole("button").first());
  await mechanic.type("Find a job", "front pads and rotors");
  await mechanic.button(/^Add Front pads and rotors/);
  await mechanic.button("The quote on paper");
  await page.getByTestId("paper").getByText("In all, with taxes").waitFor();
  await checked(mechanic, "paper-quote");
  await mechanic.button(/^Words on this paper/);
  await mechanic.type("What it opens with", "Dear Sunniva, as we said at the gate.");
  // The field is left by touching something else: what is typed is kept.
  await mechanic.tap(page.getByLabel("Phone or email"));
  await page.getByTestId("paper").getByText("Dear Sunniva, as we said at the gate.").waitFor();
  await mechanic.tap(page.getByTestId("print"));
  await page.locator("iframe[data-print]").waitFor({ state: "attached" });
  await mechanic.type("Phone or email", "sunniva.elsewhere@example.com");
  await mechanic.tap(page.getByTestId("send-paper"));
  await page.getByText(/^To sunniva\.elsewhere@example\.com: Mail/).waitFor();
  const { attachment, text } = await arrived("sunniva.elsewhere@example.com");
  expect(attachment?.name).toMatch(/^quote-\d+\.pdf$/);
  expect(
    Buffer.from(attachment?.base64 ?? "", "base64")
      .subarray(0, 5)
      .toString(),
  ).toBe("%PDF-");
  const link = /\/c\/[\w-]+/.exec(text)?.[0] ?? "";
  await page.goto(`${world.servers.url}${link}`);
  await page.getByText("Dear Sunniva, as we said at the gate.").waitFor();
  await page.getByRole("img", { name: "Larkhaven Driveway Garage" }).waitFor();
  await page.getByText(/have a warranty of 12 months/).waitFor();
  await checked(mechanic, "paper-page");
  await mechanic.close();
});

it("the owner changes what papers say; the mechanic's sheet has it, without a price, and goes to a mechanic by mail", async () => {
  const owner = await world.signedIn(WIDE);
  const { page } = owner;
  await page.goto(`${world.servers.url}/settings/papers`);
  await owner.type("A sheet opens with", "Chock both wheels first.");
  await owner.tap(page.getByTestId("save-papers"));
  await page.getByText(/^Saved\./).waitFor();
  await checked(owner, "paper-settings");
  const [order] = await world.servers.rows("select id from work_orders order by number limit 1");
  const id = String(order?.id);
  await page.goto(`${world.servers.url}/work/${id}/papers/mechanicsSheet`);
  const paper = page.getByTestId("paper");
  await paper.getByText("Chock both wheels first.").waitFor();
  expect(await paper.innerText()).not.toContain("$");
  await checked(owner, "paper-sheet");
  await owner.type("Phone or email", "tomas@example.com");
  await owner.tap(page.getByTestId("send-paper"));
  const { attachment, text } = await arrived("tomas@example.com");
  expect(attachment?.name).toMatch(/^sheet-\d+\.pdf$/);
  const path = `/work/${id}/papers/mechanicsSheet`;
  expect(text).toContain(path);
  await owner.close();
  // The link opens for nobody, and after signing in it is the sheet.
  const mechanic = await Driver.open(world.browser, PHONE, `${world.servers.url}${path}`);
  await mechanic.button(/^Tomas/);
  await mechanic.page.getByTestId("paper").getByText("Chock both wheels first.").waitFor();
  await mechanic.close();
});
