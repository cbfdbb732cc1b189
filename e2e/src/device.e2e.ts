import { takenAlong } from "./device";
import { PHONE, WIDE } from "./driver";
import { codePhoto } from "./pictures";
import { gradeHere, openCheck, pickPoint } from "./check";
import { checked, openWorld } from "./world";

const world = openWorld();

it("a day below ground: the phone opens it, takes all that is done, keeps it over a reload, and sends it once", async () => {
  const driver = await world.signedIn(PHONE);
  const { page, context } = driver;
  await takenAlong(driver);
  await context.setOffline(true);
  await page.reload();
  await page.getByText(/^No signal; as of/).waitFor();
  await checked(driver, "day-offline");

  // A work order that nobody opened on this phone before.
  await driver.tap(page.getByRole("link", { name: /Ingrid Palomar/ }).first());
  await page.getByRole("heading", { name: "Ingrid Palomar", level: 1 }).waitFor();
  await openCheck(driver);
  await pickPoint(driver, "frontPads", "Front brake pads");
  await gradeHere(driver, "act");
  await page.getByTestId("photo-frontPads").setInputFiles(await codePhoto(world.browser, [], "#87807a"));
  await page.getByText("Not sent yet").waitFor();
  await checked(driver, "check-offline");

  // Somebody calls: a new customer, taken down and booked where nobody can be asked.
  await driver.tap(page.getByTestId("check-back"));
  await driver.tap(page.getByRole("link", { name: "Back to the day" }));
  await driver.tap(page.getByRole("link", { name: "New", exact: true }));
  await driver.type("Name or business", "Perpetua Sand");
  await driver.type("Phone", "360 555 0177");
  await driver.type("What is wrong, in their words", "knocks when cold");
  await driver.tap(page.getByTestId("save-work"));
  await page.getByRole("heading", { name: "Perpetua Sand", level: 1 }).waitFor();
  await page.getByText(/^not numbered yet/).waitFor();
  await page.getByText("“knocks when cold”").waitFor();

  await page.reload();
  await page.getByRole("heading", { name: "Perpetua Sand", level: 1 }).waitFor();
  await driver.tap(page.getByRole("link", { name: /kept here, sent when there is signal/ }));
  for (const act of ["A grade of the check", "A photo", "The customer Perpetua Sand", "The new work order"])
    await page.getByText(act).waitFor();
  await checked(driver, "waiting");

  // Who was taken along is found, and who was taken down here.
  await driver.tap(page.getByRole("link", { name: "Find", exact: true }));
  await driver.type(/Name, phone/, "palomar");
  await page.getByRole("link", { name: "Customer Ingrid Palomar" }).waitFor();
  await page.getByText(/^No signal: these are from this phone/).waitFor();
  await checked(driver, "find-offline");
  await driver.type(/Name, phone/, "perp");
  await driver.tap(page.getByRole("link", { name: "Customer Perpetua Sand" }));
  await page.getByRole("heading", { name: "Perpetua Sand", level: 1 }).waitFor();
  await driver.tap(page.getByRole("link", { name: "You", exact: true }));

  // Up on the street it goes out by itself, each once and in order.
  await context.setOffline(false);
  await page.getByText("Saved", { exact: true }).waitFor();
  await driver.close();

  const office = await world.signedIn(WIDE, /Wren/);
  await office.page.goto(`${world.servers.url}/find`);
  await office.type(/Name, phone/, "Perpetua Sand");
  await office.page.getByRole("link", { name: /Work order \d+, Perpetua Sand/ }).waitFor();
  expect(await office.page.getByRole("link", { name: /Work order \d+, Perpetua Sand/ }).count()).toBe(1);
  await office.page.goto(`${world.servers.url}/find`);
  await office.type(/Name, phone/, "Ingrid Palomar");
  await office.tap(office.page.getByRole("link", { name: /Work order \d+, Ingrid Palomar/ }).first());
  await office.tap(office.page.getByTestId("section-check").getByRole("button").first());
  await office.page.getByLabel("Front brake pads, Act now").waitFor();
  await office.page.getByAltText(/photo 1/).waitFor();
  await office.close();
});

it("signs out without a signal, leaves nothing to read, and sends the rest when its person is back", async () => {
  const driver = await world.signedIn(PHONE);
  const { page, context } = driver;
  await takenAlong(driver);
  await driver.tap(page.getByRole("link", { name: /Noor Haddad-Bell/ }).first());
  await page.getByRole("heading", { name: "Noor Haddad-Bell", level: 1 }).waitFor();
  await context.setOffline(true);
  await driver.button("Add a concern");
  await driver.type(/words/, "smells of oil");
  await driver.tap(page.getByTestId("add-concerns"));
  await page.getByRole("link", { name: /1 change kept here/ }).waitFor();
  await page.goto(`${world.servers.url}/me`);
  await driver.button("Sign out");
  await page.getByText(/1 change stays on this device, sealed for you/).waitFor();
  await driver.button("Sign out all the same");
  await page.getByRole("heading", { name: "Sign in", level: 2 }).waitFor();
  const left = await page.evaluate(async () => {
    const [{ name } = { name: "" }] = (await indexedDB.databases()).filter((each) =>
      each.name?.startsWith("mechanon-device-"),
    );
    return new Promise<string>((told) => {
      const opening = indexedDB.open(name ?? "");
      opening.onsuccess = () => {
        const stores = [...opening.result.objectStoreNames].filter((store) => store !== "sealed");
        const reading = opening.result.transaction(stores);
        const all = stores.map((store) => reading.objectStore(store).getAll());
        reading.oncomplete = () => {
          opening.result.close();
          told(JSON.stringify(all.map(({ result }) => result as unknown)));
        };
      };
    });
  });
  expect(left).not.toMatch(/smells|Haddad|Palomar/);
  await context.setOffline(false);
  await page.reload();
  await driver.tap(page.getByRole("button", { name: /Odile Farrow/ }));
  await page.getByRole("list", { name: "Stops" }).waitFor();
  await driver.tap(page.getByRole("link", { name: /Noor Haddad-Bell/ }).first());
  await page.getByText("“smells of oil”").waitFor();
  await page.getByText("Saved", { exact: true }).waitFor();
  await driver.close();
});
