import { mkdtempSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Locator } from "playwright-core";
import { type Driver, PHONE, WIDE, launchBrowser } from "./driver";
import { codePhoto, labelPhoto, type Code, type Picture } from "./pictures";
import { checked, openWorld } from "./world";

/** From an unknown caller with a plate to the saved work order, beyond name, phone and plate. */
const BY_PLATE_TAPS = 12;
const VIN = "JF2SJAEC4EH430915";
const OTHER_VIN = "3FA6P0H76FR193745";

const world = openWorld();

async function newWork(driver: Driver, way?: "VIN" | "Year, model" | "Not listed"): Promise<void> {
  await driver.page.goto(`${world.servers.url}/new`);
  await driver.emptySheet();
  if (way) await driver.tap(driver.page.getByRole("radio", { name: way, exact: true }));
}
async function carId(driver: Driver, name: string): Promise<string> {
  return driver.page.evaluate(async (query) => {
    const answer = await fetch(`/api/search?q=${encodeURIComponent(query)}`);
    const found = (await answer.json()) as { customers: { vehicles: { id: string }[] }[] };
    return found.customers[0]?.vehicles[0]?.id ?? "";
  }, name);
}
async function openCar(driver: Driver, name: string): Promise<void> {
  await driver.page.goto(`${world.servers.url}/cars/${await carId(driver, name)}`);
  await driver.page.getByTestId("section-odometer").waitFor();
}
const fold = (driver: Driver, section: string): Locator =>
  driver.page.getByTestId(`section-${section}`).getByRole("button").first();

it.each([PHONE, WIDE])("a new caller's car comes from the plate in a few taps on a $name screen", async (viewport) => {
  const driver = await world.signedIn(viewport);
  const { page } = driver;
  driver.taps = 0;
  await driver.tap(page.getByRole("link", { name: "New", exact: true }));
  await driver.type("Name or business", viewport === PHONE ? "Ottoline Bray" : "Cosmo Varga");
  await driver.type("Phone", viewport === PHONE ? "360 555 0177" : "360 555 0178");
  await driver.tap(page.getByRole("checkbox", { name: "Brakes grind" }));
  await driver.tap(page.getByRole("radio", { name: "when cold" }));
  await driver.type("Plate", viewport === PHONE ? "MST3309" : "KLP7724");
  await driver.tap(page.getByTestId("look-up-plate"));
  await page.getByTestId("confirm-car").waitFor();
  await checked(driver, "this-one");
  await driver.tap(page.getByTestId("confirm-car"));
  await driver.button(/^If you know it/);
  await driver.tap(page.getByRole("radio", { name: "FWD" }));
  await driver.tap(page.getByTestId("save-work"));
  await page.getByText("“Brakes grind when cold”").waitFor();
  const typed = 3;
  process.stdout.write(
    `taps ${viewport.name}, new caller by plate: ${driver.taps - typed} beyond name, phone, plate\n`,
  );
  expect(driver.taps - typed).toBeLessThanOrEqual(BY_PLATE_TAPS);
  await driver.button(/^Car$/);
  await page
    .getByText(/FWD\/Front-Wheel Drive/)
    .first()
    .waitFor();
  await driver.close();
});

describe("typed VINs", () => {
  it("are checked with each letter, marked, put right, and asked what they leave open", async () => {
    const driver = await world.signedIn();
    const { page } = driver;
    await newWork(driver, "VIN");
    await driver.type("VIN", "3FA6POH76FR193745");
    await page.getByText(/Character 6 is "O"/).waitFor();
    await page.getByRole("img", { name: /Look again at character 6/ }).waitFor();
    await checked(driver, "vin-misread");
    await driver.button(new RegExp(`^${OTHER_VIN} \\(6: O is 0\\)`));
    await page.getByText("2015 Ford Fusion").waitFor();
    await driver.tap(page.getByTestId("confirm-car"));
    await driver.button(/^If you know it/);
    await driver.tap(page.getByRole("radio", { name: "Automatic" }));
    await page.getByText(/· Automatic/).waitFor();
    await driver.close();
  });

  it.each<[string, string, RegExp]>([
    ["16 characters", VIN.slice(0, 16), /16 of 17 characters/],
    ["18 characters", `${VIN}9`, /this has 18, 1 too many/],
    ["an import whose check digit fails", "WBA8E9G55GNT48206", /outside North America that is no error/],
  ])("%s: a word, and what was typed is kept", async (_name, typed, words) => {
    const driver = await world.signedIn();
    await newWork(driver, "VIN");
    await driver.type("VIN", typed);
    await driver.page.getByText(words).first().waitFor();
    expect(await driver.page.getByRole("textbox", { name: "VIN" }).inputValue()).toBe(typed);
    await driver.close();
  });

  it("that do not check are kept with a reason only; shorter ones of old cars go on by hand", async () => {
    const driver = await world.signedIn();
    const { page } = driver;
    await newWork(driver, "VIN");
    await driver.type("VIN", "3FA6P0H76FR193746");
    const keep = page.getByTestId("confirm-car");
    await keep.waitFor();
    expect(await keep.isDisabled()).toBe(true);
    await driver.type(/Why keep it/, "Read twice at the windshield");
    await driver.tap(keep);
    await page.getByText("2015 Ford Fusion").waitFor();
    await newWork(driver, "VIN");
    await driver.type("VIN", "8F01M100042");
    await driver.button(/go on by hand/);
    expect(await page.getByRole("textbox", { name: /Serial number/ }).inputValue()).toBe("8F01M100042");
    await driver.type("Year", "1968");
    await driver.type("Make", "Ford");
    await driver.type(/^Model/, "Mustang");
    await driver.tap(page.getByTestId("confirm-hand"));
    await page.getByText("8F01M100042").waitFor();
    await driver.close();
  });
});

it("a model is picked without typing, and its trim with it", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await newWork(driver, "Year, model");
  driver.taps = 0;
  for (const name of ["2017", "Honda", "Accord"]) await driver.tap(page.getByRole("radio", { name, exact: true }));
  await driver.button(/^If you know it/);
  await driver.tap(page.getByRole("radio", { name: "EX-L", exact: true }));
  await page.getByText("EX-L", { exact: true }).first().waitFor();
  await checked(driver, "model-picked");
  process.stdout.write(`taps, car by year, make, model and trim: ${driver.taps}\n`);
  await driver.close();
});

describe("photos and codes", () => {
  const GRAY = "#8a8a85";
  let driver: Driver;
  beforeAll(async () => {
    driver = await world.signedIn();
  });
  afterAll(() => driver?.close());
  const scan = async (picture: Picture, wanted: "vin" | "plate" = "vin"): Promise<string[]> => {
    const { page } = driver;
    await newWork(driver, wanted === "vin" ? "VIN" : undefined);
    await page.getByTestId(`scan-${wanted}`).setInputFiles(picture);
    await page
      .getByText(/The code says|codes with a VIN|seems to say|No VIN was found|No plate was found|is no picture/)
      .waitFor({ timeout: 90_000 });
    return page.getByTestId("scanned").allInnerTexts();
  };

  it("a code in a photo of twelve megapixels is found", async () => {
    const style = "left:900px;top:1200px;width:1800px;transform:rotate(4deg)";
    expect(await scan(await codePhoto(world.browser, [{ code: "code39", text: VIN, style }], GRAY, "whole"))).toEqual([
      VIN,
    ]);
  });

  it.each<[Code, string, string]>([
    ["code39", "left:900px;top:1200px;width:1800px;transform:rotate(90deg)", GRAY],
    ["code39", "left:900px;top:1200px;width:1800px;transform:rotate(17deg)", GRAY],
    ["code128", "left:1200px;top:1400px;width:1700px;filter:brightness(.35)", "#20201e"],
    ["code39", "left:900px;top:1200px;width:1800px;transform:rotate(65deg)", GRAY],
    // In the shadow beside sunlit paint.
    ["code128", "left:900px;top:1100px;width:2000px;transform:rotate(12deg);filter:contrast(.3) brightness(.6)", GRAY],
    ["datamatrix", "left:2600px;top:800px;width:420px;transform:rotate(30deg)", GRAY],
    ["qrcode", "left:600px;top:1800px;width:500px;transform:scaleX(-1)", GRAY],
    ["pdf417", "left:800px;top:1300px;width:2000px;transform:rotate(3deg)", GRAY],
    ["azteccode", "left:2200px;top:900px;width:460px;transform:rotate(20deg)", GRAY],
  ])("a %s in a photo is found: %s", async (code, style, ground) => {
    expect(await scan(await codePhoto(world.browser, [{ code, text: VIN, style }], ground))).toEqual([VIN]);
  });

  it("two codes in one photo are both offered", async () => {
    const codes: Parameters<typeof codePhoto>[1] = [
      { code: "code39", text: VIN, style: "left:300px;top:400px;width:1500px" },
      { code: "qrcode", text: OTHER_VIN, style: "left:2500px;top:1500px;width:700px" },
    ];
    const picture = await codePhoto(world.browser, codes, GRAY);
    expect((await scan(picture)).sort()).toEqual([OTHER_VIN, VIN].sort());
    await checked(driver, "two-codes");
    await driver.tap(driver.page.getByTestId("scanned").filter({ hasText: VIN }));
    await driver.page.getByText("2014 Subaru Forester").waitFor();
  });

  it.each([
    ["askew", "transform:rotate(-13deg)", "#77736a"],
    ["far askew", "transform:rotate(24deg)", "#77736a"],
    ["on its side", "font-size:48px;left:-250px;transform:rotate(90deg)", "#77736a"],
    ["in the shadow beside sunlit paint", "filter:brightness(.35)", "#77736a"],
    ["upside down", "transform:rotate(180deg)", "#77736a"],
  ])("a VIN's text is read %s, and confirmed by a person", async (_name, style, ground) => {
    const picture = await labelPhoto(world.browser, ["MFD BY FUJI 04/14", `VIN: ${VIN}`], style, ground);
    expect(await scan(picture)).toContain(VIN);
  });

  it("a second photo takes the first car's yes away, until it says which car it shows", async () => {
    const first = await codePhoto(
      world.browser,
      [{ code: "code128", text: VIN, style: "left:1200px;top:1400px;width:1700px" }],
      GRAY,
    );
    await scan(first);
    const { page } = driver;
    // Kept here by now, or not: either way somebody has to say yes to it.
    const yes = page.getByTestId("confirm-car").or(page.getByTestId("confirm-known"));
    await driver.tap(page.getByTestId("scanned").first());
    await yes.waitFor();
    const nothing = await labelPhoto(world.browser, ["TIRE PRESSURE"], "");
    await page.getByTestId("scan-vin").setInputFiles(nothing);
    await page.getByText(/No VIN was found/).waitFor({ timeout: 180_000 });
    expect(await yes.count()).toBe(0);
    await driver.button(/as it was/);
    await yes.waitFor();
  });

  it("a plate's text is read", async () => {
    const picture = await labelPhoto(world.browser, ["FRY5083"], "font-size:170px;font-family:'DejaVu Sans'");
    expect(await scan(picture, "plate")).toContain("FRY5083");
  });

  it("a PDF that calls itself a photo is no picture; what was typed is kept", async () => {
    await newWork(driver, "VIN");
    await driver.type("VIN", "JF2SJ");
    await driver.page
      .getByTestId("scan-vin")
      .setInputFiles({ name: "vin.jpg", mimeType: "image/jpeg", buffer: Buffer.from("%PDF-1.7 x") });
    await driver.page.getByText(/no picture this phone can read/).waitFor();
    expect(await driver.page.getByRole("textbox", { name: "VIN" }).inputValue()).toBe("JF2SJ");
  });

  it("the camera finds a code by itself, and says so when it may not look", async () => {
    const { buffer } = await codePhoto(
      world.browser,
      [{ code: "code128", text: VIN, style: "left:600px;top:1000px;width:2600px" }],
      GRAY,
    );
    const file = join(mkdtempSync(join(tmpdir(), "camera-")), "camera.mjpeg");
    writeFileSync(file, Buffer.concat([buffer, buffer]));
    const withCamera = await launchBrowser([
      "--use-fake-ui-for-media-stream",
      "--use-fake-device-for-media-stream",
      `--use-file-for-fake-video-capture=${file}`,
    ]);
    const other = await world.signedIn(PHONE, /Odile/, withCamera);
    await newWork(other, "VIN");
    await other.tap(other.page.getByTestId("scan-live"));
    await other.tap(other.page.getByTestId("scanned").filter({ hasText: VIN }));
    await other.page.getByText("2014 Subaru Forester").waitFor();
    await withCamera.close();
    await newWork(driver, "VIN");
    await driver.tap(driver.page.getByTestId("scan-live"));
    await driver.page.getByText(/camera cannot be used here/).waitFor();
  });
});

it("VINs are read without the network after the first visit, also by a page loaded anew", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await newWork(driver, "VIN");
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    while (!(await caches.match("/index.html", { ignoreSearch: true })))
      await new Promise((done) => setTimeout(done, 100));
  });
  await driver.context.setOffline(true);
  await page.reload();
  await driver.type("VIN", OTHER_VIN);
  await page.getByText("2015 Ford Fusion").waitFor();
  await page.getByText(/the VIN was read on this phone/).waitFor();
  await checked(driver, "vin-offline");
  await driver.context.setOffline(false);
  await driver.close();
});

describe("a car somebody else has here", () => {
  it("is moved with its history to the caller, or linked to who drives it", async () => {
    const driver = await world.signedIn();
    const { page } = driver;
    await newWork(driver);
    await driver.type("Name or business", "Iolanthe Marsh");
    await driver.type("Phone", "360 555 0155");
    await driver.type("Plate", "TDW9034");
    await driver.tap(page.getByTestId("look-up-plate"));
    await page.getByText(/it belongs to Delphine Marsh/).waitFor();
    await checked(driver, "whose-car");
    await driver.tap(page.getByTestId("move-car"));
    await driver.tap(page.getByTestId("save-work"));
    await page.getByRole("heading", { name: "Iolanthe Marsh", level: 1 }).waitFor();
    await driver.button(/^Car$/);
    await driver.tap(fold(driver, "owner"));
    await page.getByText(/from Delphine Marsh to Iolanthe Marsh, by Odile Farrow/).waitFor();

    await newWork(driver);
    await driver.type("Name or business", "Lazlo Quint");
    await driver.type("Phone", "360 555 0156");
    await driver.type("Plate", "LRK5182");
    await driver.tap(page.getByTestId("look-up-plate"));
    await driver.tap(page.getByTestId("link-car"));
    await driver.tap(page.getByTestId("save-work"));
    await page.getByRole("heading", { name: "Lazlo Quint", level: 1 }).waitFor();
    await driver.button(/^Customer$/);
    await page.getByText("Driver; it belongs to Ingrid Palomar").waitFor();
    await driver.close();
  });
});

describe("what comes along with a car", () => {
  it("an open quote is copied knowingly, and work put off is taken along", async () => {
    const driver = await world.signedIn();
    const { page } = driver;
    await newWork(driver);
    await driver.type("Plate", "LRK1340");
    await driver.tap(page.getByTestId("look-up-plate"));
    await driver.tap(page.getByTestId("confirm-known"));
    await page.getByText(/waits for an answer/).waitFor();
    await driver.tap(page.getByTestId("save-work"));
    await page
      .getByText(/go on with it, copy its jobs, or start anew/)
      .first()
      .waitFor();
    await driver.tap(page.getByRole("radio", { name: "Copy its jobs" }));
    await checked(driver, "comes-along");
    await driver.tap(page.getByTestId("save-work"));
    await page.getByTestId("section-quote").getByText(/1 job/).waitFor();

    await newWork(driver);
    await driver.type("Plate", "TDW7115");
    await driver.tap(page.getByTestId("look-up-plate"));
    await driver.tap(page.getByTestId("confirm-known"));
    await page.getByText(/5 × Oil, quart/).waitFor();
    await driver.tap(page.getByRole("checkbox", { name: /Take along, put off: Wiper blades/ }));
    await driver.tap(page.getByTestId("save-work"));
    await page.getByTestId("section-quote").getByText(/1 job/).waitFor();
    await driver.close();
  });
});

it.each([PHONE, WIDE])("a car tells all about itself on a $name screen", async (viewport) => {
  const driver = await world.signedIn(viewport);
  const { page } = driver;
  await openCar(driver, viewport === PHONE ? "Maren" : "Sunniva");
  if (!(await page.getByTestId("ask-specs").isVisible())) await driver.tap(fold(driver, "specs"));
  await page
    .getByText(/Simulated by/)
    .first()
    .waitFor();
  await checked(driver, "car");
  await driver.button(/^Engine oil with filter: .*, correct it/);
  await driver.type(/Engine oil with filter as found/, "lots");
  await page.getByText("a number of qt is needed").waitFor();
  await driver.type(/Engine oil with filter as found/, "4.7");
  await driver.tap(page.getByTestId("save-correction"));
  await page.getByText(/Found by Odile Farrow/).waitFor();

  await driver.tap(fold(driver, "tires"));
  await driver.type("Original size", "215/55R17 94V");
  await driver.type("Size to compare", "wide");
  await page.getByText(/is not a tire size/).waitFor();
  await driver.type("Size to compare", "225/50R17 94W");
  await page.getByText("-11.5 mm, -1.7 %").waitFor();
  await driver.type(/DOT code/, "2319");
  await page.getByText(/Made in week 23 of 2019/).waitFor();

  await world.servers.fault("recalls", "down");
  await driver.tap(fold(driver, "recalls"));
  await page.getByText(/The source of recalls does not answer/).waitFor();
  await world.servers.fault("recalls", "none");
  await driver.tap(page.getByTestId("section-recalls").getByRole("button", { name: "Try again" }));
  await page
    .getByTestId("section-recalls")
    .getByText(/Simulated by/)
    .waitFor();
  await driver.tap(fold(driver, "elsewhere"));
  await page
    .getByTestId("section-elsewhere")
    .getByText(/Simulated by/)
    .waitFor();

  if (!(await page.getByText(/Agree otherwise: oil/).isVisible())) await driver.tap(fold(driver, "due"));
  await driver.button("Agree otherwise: oil and filter");
  await driver.type("Miles", "10000");
  await driver.type("Months", "12");
  await driver.tap(page.getByTestId("agree-interval"));
  await page.getByText(/agreed with this customer/).waitFor();
  await checked(driver, "car-parts");
  await driver.close();
});

it("a car is told apart by nickname, unit number and photo", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await openCar(driver, "Harbor Bread");
  await driver.tap(page.getByTestId("change-car"));
  await driver.type("Nickname", "Crumbs");
  await driver.type("Year", "20x7");
  const { buffer } = await labelPhoto(world.browser, ["VAN"], "");
  await page.getByTestId("photo-car").setInputFiles({ name: "van.jpg", mimeType: "image/jpeg", buffer });
  await page.getByRole("img", { name: "Photo of the car" }).waitFor();
  await driver.tap(page.getByTestId("save-car"));
  await page.getByText("a year like 2006").waitFor();
  await driver.type("Year", "2017");
  await checked(driver, "change-car");
  await driver.tap(page.getByTestId("save-car"));
  await page.getByText(/Unit 1 · “Crumbs” · White/).waitFor();
  await page.getByRole("img", { name: /Photo of the 2017 Ford Transit/ }).waitFor();
  await driver.close();
});

it("a wrong car on a running work order is swapped after it is said what that means", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await page.goto(`${world.servers.url}/open`);
  await driver.tap(page.getByRole("link", { name: /Teodor Vance/ }).first());
  await driver.button("More about this work order");
  await driver.tap(page.getByTestId("swap-car"));
  await driver.type(/Or a car of somebody else/, "Petra");
  await driver.button(/Cars of.*Petra Sandoval/);
  await driver.button(/2015 Hyundai Sonata/);
  await page.getByText(/10 findings and the odometer: taken off/).waitFor();
  await page.getByText(/1 part ordered or in hand: check that they fit/).waitFor();
  await checked(driver, "swap");
  await driver.tap(page.getByRole("radio", { name: "Yes, only the record was wrong" }));
  await page.getByText(/10 findings and the odometer: kept/).waitFor();
  await driver.tap(page.getByTestId("swap"));
  await page.getByText("2015 Hyundai Sonata", { exact: true }).first().waitFor();
  await driver.tap(page.getByTestId("swap-car"));
  await driver.button("None of these: take the car off");
  await driver.tap(page.getByTestId("swap"));
  await page.getByText("No car yet").first().waitFor();
  await driver.tap(page.getByTestId("swap-customer"));
  await driver.type("Whose work order is it?", "Noor");
  await driver.button(/Choose.*Noor/);
  await driver.tap(page.getByTestId("swap"));
  await page.getByRole("heading", { name: "Noor Haddad-Bell", level: 1 }).waitFor();
  await driver.close();
});

it("phrases are changed for once, kept for good, and edited by the owner; services, too", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await newWork(driver);
  await driver.type("What is wrong, in their words", "Rattles like a tin can");
  await driver.button(/^Add “Rattles/);
  await driver.button("Offer these words next time");
  await driver.tap(page.getByRole("radio", { name: "Engine" }));
  await page.getByText("Kept in the library.").waitFor();
  await driver.tap(page.getByRole("checkbox", { name: "Brakes squeal when cold" }));
  await newWork(driver);
  const first = page.getByRole("group", { name: "Ready phrases" }).getByRole("checkbox").first();
  expect(await first.getAttribute("aria-label")).toBe("Brakes squeal when cold");

  await page.goto(`${world.servers.url}/settings/concerns`);
  await driver.type("Search the phrases", "rattles");
  await driver.button("Change Rattles like a tin can");
  await driver.type(/^Phrase$/, "Rattles {when} like a tin can");
  await page.getByText("Without its gaps: Rattles like a tin can").waitFor();
  await checked(driver, "phrases");
  await driver.tap(page.getByTestId("save-concerns"));
  await page.getByText(/Saved\. New work orders/).waitFor();

  await page.goto(`${world.servers.url}/settings/services`);
  await driver.type(/^Miles, Oil and filter/, "a lot");
  await driver.tap(page.getByTestId("save-services"));
  await page.getByRole("alert").first().waitFor();
  await driver.type(/^Miles, Oil and filter/, "6,000");
  await checked(driver, "services");
  await driver.tap(page.getByTestId("save-services"));
  await page.getByText(/Saved\. What is due/).waitFor();
  await driver.close();
});
