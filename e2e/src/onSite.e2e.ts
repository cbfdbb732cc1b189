import { takenAlong } from "./device";
import { Driver, PHONE, WIDE } from "./driver";
import { gradeHere, openCheck, pickPoint } from "./check";
import { claimsToBe, clipFile, codePhoto, tinyPng } from "./pictures";
import { checked, openWorld } from "./world";

const world = openWorld();

/** A work order of the demo, by whose it is: by its address, since a day has many. */
async function orderOf(driver: Driver, name: string): Promise<string> {
  return driver.page.evaluate(async (wanted) => {
    const { groups } = (await (await fetch("/api/open-work")).json()) as {
      groups: { workOrders: { id: string; customerName: string }[] }[];
    };
    return groups.flatMap(({ workOrders }) => workOrders).find(({ customerName }) => customerName === wanted)?.id ?? "";
  }, name);
}

async function openOrder(driver: Driver, name: string): Promise<string> {
  const id = await orderOf(driver, name);
  await driver.page.goto(`${world.servers.url}/work/${id}`);
  await driver.page.getByRole("heading", { name, level: 1 }).waitFor();
  return id;
}

/** Comes to a visit that is booked. */
async function arrive(driver: Driver): Promise<void> {
  const visits = driver.page.getByTestId("section-visits");
  await visits.waitFor();
  const there = visits.getByRole("button", { name: "I'm there already" });
  if (!(await there.isVisible())) await driver.tap(visits.getByRole("button").first());
  await driver.tap(there);
  await driver.page.getByTestId("place-safe").waitFor();
}

const MOST_TAPS = 75;

it("a full look: fifty points, four findings, twelve measures, five photos, by thumb", async () => {
  const driver = await world.signedIn(PHONE);
  const { page } = driver;
  await openOrder(driver, "Linus Featherstone");
  await arrive(driver);
  await driver.tap(page.getByTestId("place-safe"));
  await openCheck(driver);
  await driver.tap(page.getByTestId("take-full"));
  await page.getByRole("heading", { name: "Full look", level: 1 }).waitFor();
  await checked(driver, "full-look");
  driver.taps = 0;
  let [photos, measures] = [0, 0];
  const photo = await codePhoto(world.browser, [], "#87807a");
  const photograph = async (point: string): Promise<void> => {
    await page.getByTestId(`photo-${point}`).setInputFiles(photo);
    driver.taps += 1;
    photos += 1;
    await page
      .getByLabel(
        new RegExp(
          `^${(await page.getByTestId("active-point").getAttribute("aria-label"))?.replace("At hand: ", "") ?? ""}, photo \\d`,
        ),
      )
      .first()
      .waitFor();
  };
  const measure = async (value: number): Promise<void> => {
    await driver.tap(page.getByTestId(`value-${value}`));
    measures += 1;
  };
  const atHand = (title: string): Promise<void> => page.getByLabel(`At hand: ${title}`).waitFor();

  // What is fine goes by areas; what must be measured stays.
  await driver.tap(page.getByTestId("rest-Outside"));
  await driver.tap(page.getByTestId("rest-Inside"));
  await pickPoint(driver, "belt", "Accessory belt");
  await gradeHere(driver, "act");
  await driver.tap(page.getByRole("checkbox", { name: "Cracked" }));
  await photograph("belt");
  await driver.tap(page.getByTestId("cure-belt"));
  await driver.tap(page.getByTestId("rest-Under the hood"));
  await driver.tap(page.getByTestId("next-point"));
  await atHand("12 volt battery");
  await measure(12.6);
  // The tires: inner, middle, outer; the first of them is bald inside.
  await atHand("Tire, left front");
  for (const value of [1, 4, 6]) await measure(value);
  await page.getByText(/Worn on the inside/).waitFor();
  await photograph("tireLeftFront");
  await photograph("tireLeftFront");
  await driver.tap(page.getByTestId("cure-tires"));
  await driver.tap(page.getByTestId("next-point"));
  await atHand("Tire, right front");
  for (const value of [7, 7, 7]) await measure(value);
  await atHand("Tire, left rear");
  await measure(6);
  await pickPoint(driver, "tireRightRear", "Tire, right rear");
  await driver.tap(page.getByRole("radio", { name: /^Middle/ }));
  await measure(6);
  await gradeHere(driver, "sound");
  await pickPoint(driver, "tireLeftRear", "Tire, left rear");
  await driver.tap(page.getByRole("radio", { name: /^Middle/ }));
  await measure(6);
  await gradeHere(driver, "sound");
  await driver.tap(page.getByTestId("rest-Tires"));
  await pickPoint(driver, "padLeftFront", "Pads, left front");
  await measure(2);
  await photograph("padLeftFront");
  await driver.tap(page.getByTestId("cure-front-brakes"));
  await checked(driver, "pads-found");
  await driver.tap(page.getByTestId("next-point"));
  await measure(6);
  await measure(7);
  await measure(7);
  await driver.tap(page.getByTestId("rest-Brakes"));
  await pickPoint(driver, "struts", "Front struts");
  await gradeHere(driver, "watch");
  await photograph("struts");
  await driver.tap(page.getByTestId("rest-Underneath"));
  await driver.tap(page.getByTestId("rest-On the road"));
  await driver.tap(page.getByTestId("next-point"));
  await page.getByTestId("close-sheet-sure").waitFor();
  const { taps } = driver;
  process.stdout.write(`taps phone, a full look: ${taps} of ${MOST_TAPS}, ${measures} measures, ${photos} photos\n`);
  expect(measures).toBeGreaterThanOrEqual(12);
  expect(photos).toBe(5);
  expect(taps).toBeLessThanOrEqual(MOST_TAPS);
  await checked(driver, "look-closing");
  await driver.tap(page.getByTestId("close-sheet-sure"));
  await page.getByRole("heading", { name: "Linus Featherstone", level: 1 }).waitFor();

  // What is not safe is told before the car is driven, and stays until it is mended.
  const check = page.getByTestId("section-check");
  if (!(await page.getByTestId("tell-unsafe").isVisible())) await driver.tap(check.getByRole("button").first());
  await driver.tap(page.getByTestId("tell-unsafe"));
  await driver.sign();
  await driver.tap(page.getByTestId("keep-told"));
  await page.getByText(/was told .*, signed/).waitFor();
  await checked(driver, "unsafe-told");
  await driver.close();
});

it("below ground a photo is drawn upon, a clip is taken, and all of it goes out once; the customer sees it large", async () => {
  const driver = await world.signedIn(PHONE);
  const { page, context } = driver;
  const id = await openOrder(driver, "Bram Castellanos");
  await takenAlong(driver);
  await openCheck(driver);
  await context.setOffline(true);
  await pickPoint(driver, "frontPads", "Front brake pads");
  await gradeHere(driver, "unsafe");
  await page.getByTestId("photo-frontPads").setInputFiles(await codePhoto(world.browser, [], "#87807a"));
  await driver.tap(page.getByLabel("Front brake pads, photo 1, large"));
  await driver.tap(page.getByTestId("draw"));
  const box = await page.getByTestId("drawing").locator("canvas").first().boundingBox();
  if (!box) throw new Error("there is nothing to draw on");
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 4, box.y + box.height / 4, { steps: 4 });
  await page.mouse.up();
  await checked(driver, "drawing");
  await driver.tap(page.getByTestId("keep-drawing"));
  await page.getByTestId("photo-frontPads-files").setInputFiles(await clipFile(world.browser));
  await page.getByLabel("Clip: Front brake pads, photo 2").waitFor();
  await page.getByTestId("photo-frontPads-files").setInputFiles([
    { name: "notes.jpg", mimeType: "image/jpeg", buffer: Buffer.from("not a picture at all") },
    {
      name: "cut.jpg",
      mimeType: "image/jpeg",
      buffer: (await codePhoto(world.browser, [], "#87807a")).buffer.subarray(0, 9000),
    },
  ]);
  await page.getByText(/notes.jpg is no picture/).waitFor();
  await page.getByText(/cut.jpg is damaged or cut off/).waitFor();
  await page.getByTestId("photo-frontPads-files").setInputFiles([
    { name: "dot.png", mimeType: "image/png", buffer: tinyPng(1) },
    { name: "wide.png", mimeType: "image/png", buffer: claimsToBe(50_000) },
    { name: "huge.jpg", mimeType: "image/jpeg", buffer: Buffer.alloc(41 * 1024 * 1024, 1) },
  ]);
  await page.getByText(/dot.png is too small to see anything/).waitFor();
  await page.getByText(/wide.png says it has more pixels/).waitFor();
  await page.getByText(/huge.jpg is larger than 40 MB/).waitFor();
  await page.reload();
  await page.getByText(/No connection; \d+ changes kept here/).waitFor();
  await page.getByLabel(/^Front brake pads, Unsafe/).waitFor();
  await context.setOffline(false);
  await page.getByText("Saved", { exact: true }).waitFor();
  // The untouched one, the drawn one and the clip are kept; the strip shows the drawn one in the place of the first.
  const kept = await world.servers.rows(
    `select count(*)::int as count, count(checksum)::int as checked from photos where id in (
       select (p->>'photoId')::uuid from work_orders, jsonb_array_elements(state->'pictures') p where work_orders.id = '${id}')`,
  );
  expect(kept).toEqual([{ count: 3, checked: 3 }]);
  await driver.tap(page.getByTestId("check-back"));

  // The customer's own phone, from the link.
  await driver.tap(page.getByTestId("section-messages").getByRole("button").first());
  const sent = page.waitForResponse(/quote-messages/);
  await driver.tap(page.getByTestId("send-quote"));
  expect((await sent).status()).toBe(200);
  const [link] = await world.servers.rows(
    `select token from directory.page_links where work_order_id = '${id}' order by created_at desc limit 1`,
  );
  const hers = await Driver.open(world.browser, PHONE, `${world.servers.url}/c/${(link as { token: string }).token}`);
  await hers.page.getByText("Not safe to drive").first().waitFor();
  await hers.page.getByText(/Brakes stop the car/).waitFor();
  expect(await hers.page.getByRole("img", { name: "Front brake pads, Photo 1" }).count()).toBe(1);
  await checked(hers, "mine-found");
  await hers.close();
  await page.getByText(/They opened their page/).waitFor();
  await driver.close();
});

it("from the office it is seen who checks and how far; by keys it goes faster still", async () => {
  const [odile, wren] = [await world.signedIn(PHONE), await world.signedIn(WIDE, /Wren/)];
  await openOrder(odile, "Petra Sandoval");
  await openCheck(odile);
  await openOrder(wren, "Petra Sandoval");
  await openCheck(wren);
  await gradeHere(odile, "sound");
  await wren.page.getByText("1 of 10 points").waitFor();
  await wren.page.getByText(/^Odile Farrow, last tire tread, lowest at/).waitFor();
  await wren.page.getByLabel("At hand: Front brake pads").waitFor();
  await wren.page.keyboard.press("3");
  await wren.page.getByLabel(/^Front brake pads, Act now/).waitFor();
  await checked(wren, "check");
  await wren.page.keyboard.press("z");
  await odile.page.getByText("1 of 10 points").waitFor();
  await odile.close();
  await wren.close();
});

it("arrival: a place that is not safe, fuel, lamps, a mark on the outline; codes; a car left apart", async () => {
  const driver = await world.signedIn(PHONE);
  const { page } = driver;
  await openOrder(driver, "Noor Haddad-Bell");
  await arrive(driver);
  await driver.tap(page.getByTestId("place-unsafe"));
  await driver.tap(page.getByRole("checkbox", { name: "Wheels chocked" }));
  await driver.tap(page.getByTestId("keep-unsafe-place"));
  await page.getByText(/Cannot be done safely here: no: wheels chocked/).waitFor();
  await driver.button("It is safe now");
  const arrival = page.getByTestId("section-arrival");
  if (!(await page.getByTestId("walk-round").isVisible())) await driver.tap(arrival.getByRole("button").first());
  await driver.tap(page.getByRole("radio", { name: "1/2", exact: true }));
  await driver.tap(page.getByTestId("no-lamps"));
  await driver.tap(page.getByTestId("walk-round"));
  await page.getByTestId("outline").click({ position: { x: 90, y: 60 } });
  await driver.tap(page.getByRole("radio", { name: "Dent" }));
  await checked(driver, "walk-round");
  await driver.button("Next one");
  await driver.tap(page.getByTestId("walk-round-done"));
  await page.getByText("1 mark", { exact: true }).waitFor();
  await driver.button("It must be left apart");
  await driver.type("What is off", "Both front wheels");
  await driver.tap(page.getByRole("radio", { name: "Must not be driven" }));
  await driver.tap(page.getByTestId("keep-apart"));
  await page.getByText(/^The car lies apart: Both front wheels/).waitFor();
  await driver.tap(page.getByTestId("codes").getByRole("button").first());
  await driver.type("Code or what it says", "P0301");
  await driver.tap(page.getByTestId("code-P0301"));
  await page.getByText("Misfires on cylinder 1").waitFor();
  await checked(driver, "codes");
  await driver.close();
});

it("the owner's sheets are changed, and one comes on paper", async () => {
  const driver = await world.signedIn(WIDE);
  const { page } = driver;
  await page.goto(`${world.servers.url}/settings/inspection`);
  await driver.button("Change Tires and brakes");
  await driver.tap(page.getByRole("checkbox", { name: "When a car is seen for the first time" }));
  await checked(driver, "settings-sheets");
  await driver.tap(page.getByTestId("save-inspection"));
  await page.getByText(/^Saved\. Sheets that begin from now on/).waitFor();
  const paper = await page.request.get(`${world.servers.url}/api/inspection-sheets/full/blank`);
  expect([paper.status(), paper.headers()["content-type"]]).toEqual([200, "application/pdf"]);
  await driver.close();
});
