import { PHONE, WIDE } from "./driver";
import { checked, openWorld } from "./world";

/** From the call of somebody we know to the saved work order: taps and letters. */
const RETURNING_TAPS = 6;
const RETURNING_LETTERS = 4;
const SEARCH = /^Name, phone/;

const world = openWorld();

it.each([PHONE, WIDE])("a returning caller is written down in a few taps on a $name screen", async (viewport) => {
  const driver = await world.signedIn(viewport);
  const { page } = driver;
  [driver.taps, driver.letters] = [0, 0];
  await driver.tap(page.getByRole("link", { name: "New", exact: true }));
  await driver.type("Name or business", "lind");
  await driver.button("Known: Jasper Lindqvist");
  await driver.button(/Toyota Corolla/);
  await driver.tap(page.getByRole("checkbox", { name: "Brakes grind" }));
  await checked(driver, "returning-caller");
  await driver.tap(page.getByTestId("save-work"));
  await page.getByRole("heading", { name: "Jasper Lindqvist", level: 1 }).waitFor();
  await page
    .getByText(/Corolla/)
    .first()
    .waitFor();
  process.stdout.write(`taps ${viewport.name}, returning caller: ${driver.taps} taps, ${driver.letters} letters\n`);
  expect([driver.taps, driver.letters]).toEqual([RETURNING_TAPS, RETURNING_LETTERS]);
  await driver.close();
});

it.each([PHONE, WIDE])("one box finds by anything and marks it, on a $name screen", async (viewport) => {
  const driver = await world.signedIn(viewport);
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "Find", exact: true }));
  for (const typed of ["oyel", "Mraen", "0111", "lrk12o4", "048217", "maren@", "18 heron"]) {
    await driver.type(SEARCH, typed);
    await page.getByRole("link", { name: "Customer Maren Oyelaran" }).waitFor();
  }
  await driver.type(SEARCH, "gideon");
  await page.getByRole("link", { name: "Customer Harbor Bread Deliveries" }).waitFor();
  await driver.type(SEARCH, "br");
  await page.getByRole("link", { name: "Customer Bram Castellanos" }).waitFor();
  await checked(driver, "find-anything");
  await driver.type(SEARCH, "%");
  await page.getByText(/Nothing here matches “%”/).waitFor();
  await driver.close();
});

it.each([PHONE, WIDE])(
  "a fleet is typed with all that is known, found, and changed, on a $name screen",
  async (viewport) => {
    const driver = await world.signedIn(viewport);
    const { page } = driver;
    const name = viewport === PHONE ? "gannet point plumbing" : "gannet harbor diving";
    const shown = viewport === PHONE ? "Gannet Point Plumbing" : "Gannet Harbor Diving";
    const line = viewport === PHONE ? "0178" : "0179";
    await driver.tap(page.getByRole("link", { name: "Find", exact: true }));
    await driver.button("New customer");
    await driver.tap(page.getByRole("radio", { name: "Business" }));
    await driver.type("Name or business", name);
    await driver.type("Phone 1", `360 555 ${line} ext 3`);
    await driver.button("Add an email");
    await driver.type("Email 1", "desk@");
    await driver.tap(page.getByRole("radio", { name: "Texts welcome" }));
    await driver.button("Add a place for work");
    await driver.type("Postcode", "98097");
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('[aria-label="Town"]')?.value === "Gannet Point",
    );
    await driver.type("Street and number", "1 Marsh Road");
    await driver.type("Gate code", "77#");
    await driver.tap(page.getByRole("radio", { name: "Steep" }));
    await driver.button("Add a contact");
    await driver.type("Contact 1", "runa holt");
    await driver.tap(page.getByRole("radio", { name: "Fleet manager" }));
    await driver.tap(page.getByRole("radio", { name: "Anything", exact: true }));
    await driver.tap(page.getByRole("checkbox", { name: "Exempt from sales tax" }));
    await driver.type("Number of the exemption", "EX-77");
    await driver.tap(page.getByRole("radio", { name: "Web search" }));
    await driver.tap(page.getByRole("radio", { name: "Driveway" }));
    await driver.tap(page.getByTestId("save-customer"));
    await page.getByText(/an email looks like/).waitFor();
    await checked(driver, "customer-form");
    await driver.type("Email 1", `desk${line}@example.com`);
    await driver.tap(page.getByTestId("save-customer"));
    await page.getByRole("heading", { name: shown, level: 1 }).waitFor();
    for (const known of [`(360) 555-${line} ext. 3`, "Runa Holt", "EX-77", "Web search"])
      await page.getByText(known).first().waitFor();
    await checked(driver, "customer-sheet-new");
    await driver.button("Change");
    await driver.type("Notes", "Vans stand behind the shed.");
    await driver.tap(page.getByTestId("save-customer"));
    await page.getByText("Vans stand behind the shed.").waitFor();
    await driver.close();
  },
);

it("shows who is kept already while a newcomer is typed, and goes on with them", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "New", exact: true }));
  await driver.type("Phone", "360 555 0141");
  await driver.button(/Directory: Ottilie Brandt/);
  expect(await page.getByRole("textbox", { name: "Name or business" }).inputValue()).toBe("Ottilie Brandt");
  await driver.emptySheet();
  await driver.type("Name or business", "Marin Oyelaran");
  await driver.type("Street and number", "18 Heron Landing");
  await page.getByRole("button", { name: /Same as Maren Oyelaran, name sounds alike, same street/ }).waitFor();
  await checked(driver, "likely-same");
  await driver.button(/Same as Maren Oyelaran/);
  await page.getByText(/Open already/).waitFor();
  await driver.close();
});

it.each([PHONE, WIDE])("everything about a customer is a press away, on a $name screen", async (viewport) => {
  const driver = await world.signedIn(viewport);
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "Find", exact: true }));
  await driver.type(SEARCH, "sunniva");
  await driver.tap(page.getByRole("link", { name: "Customer Sunniva Achterberg" }));
  await page.getByRole("heading", { name: "Sunniva Achterberg", level: 1 }).waitFor();
  await driver.button(/^Later list/);
  await page.getByRole("link", { name: /Later: Wiper blades/ }).waitFor();
  await driver.button(/^Last visits/);
  await driver.button(/^Past work/);
  await page
    .getByRole("link", { name: /Work order \d+, Sunniva/ })
    .first()
    .waitFor();
  await checked(driver, "customer-history");
  await page.goto(`${world.servers.url}/find`);
  await driver.type(SEARCH, "harbor");
  await driver.tap(page.getByRole("link", { name: "Customer Harbor Bread Deliveries" }));
  await page.getByText("Gideon Maas").first().waitFor();
  await checked(driver, "customer-fleet");
  await driver.close();
});

it("makes two records one, and two of one again", async () => {
  const driver = await world.signedIn(WIDE);
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "Find", exact: true }));
  await driver.type(SEARCH, "petra");
  await driver.tap(page.getByRole("link", { name: "Customer Petra Sandoval" }));
  await driver.button(/^Kept twice/);
  await driver.type("Find the other record", "amparo");
  await driver.button("Merge with Amparo Whitlock");
  await checked(driver, "merge");
  await driver.tap(page.getByTestId("merge"));
  await page.getByText(/Amparo Whitlock became part of this record/).waitFor();
  await page.getByText("2 cars").waitFor();
  await checked(driver, "merged");
  await driver.button("Part from Amparo Whitlock again");
  await page.getByText("They are apart again, both as they were.").waitFor();
  await page.getByText("1 car", { exact: true }).waitFor();
  await driver.close();
});

it.each([PHONE, WIDE])(
  "brings customers in from a file, tried first, and takes them out again, on a $name screen",
  async (viewport) => {
    const driver = await world.signedIn(viewport);
    const { page } = driver;
    await driver.tap(page.getByRole("link", { name: "You", exact: true }));
    await driver.button("Bring in or take out customers");
    const lines = Array.from(
      { length: 600 },
      (_, index) => `Person ${index} Imported,206 555 ${String(1000 + index)},Made Up Road ${index}`,
    );
    const content = ["Who,Telephone,Address", "Maren Oyelaran,(360) 555-0111,", ",206 555 9999,", ...lines].join("\n");
    await page
      .getByTestId("import-file")
      .setInputFiles({ name: "shop.csv", mimeType: "text/csv", buffer: Buffer.from(content) });
    await page.getByText("602 rows, not tried yet").waitFor();
    // "Who" is a heading nobody knows: a person says what it is.
    await driver.button(/Column Who is Not taken/);
    await driver.tap(
      page.getByRole("radiogroup", { name: "Column Who holds" }).getByRole("radio", { name: "Name", exact: true }),
    );
    await checked(driver, "import-columns");
    await driver.tap(page.getByTestId("check-import"));
    await page.getByText("602 rows tried, nothing brought in yet").waitFor();
    await page.getByText("kept already: Maren Oyelaran").waitFor();
    await page.getByText("no name and no business name").waitFor();
    await checked(driver, "import-report");
    await driver.button("Leave out row 3");
    await driver.button("Bring in 600 rows");
    await page.getByText("600 of 602 rows brought in").waitFor({ timeout: 60_000 });
    await driver.tap(page.getByTestId("undo-import"));
    await page.getByText("Taken out again", { exact: true }).waitFor({ timeout: 60_000 });
    await driver.button("To all files");
    const [download] = await Promise.all([page.waitForEvent("download"), driver.button("Customers, as vCards")]);
    expect(download.suggestedFilename()).toBe("customers.vcf");
    await checked(driver, "transfer");
    await driver.close();
  },
);

it("asks newcomers what the owner wants, and erases whom the law says", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await driver.tap(page.getByRole("link", { name: "You", exact: true }));
  await driver.button("What newcomers are asked");
  await driver.button("Add a question");
  await driver.type("Question 4", "Which ferry do you take?");
  await page.getByRole("textbox", { name: "Answers to choose from" }).last().fill("Early, Late");
  await driver.tap(page.getByTestId("save-newcomers"));
  await page.getByText(/asked from the next newcomer on/).waitFor();
  await checked(driver, "newcomers");
  await page.goto(`${world.servers.url}/customers/new`);
  await driver.type("Name or business", "Gone Tomorrow");
  await driver.tap(page.getByRole("radio", { name: "Early" }));
  await driver.tap(page.getByTestId("save-customer"));
  await page.getByText("Which ferry do you take?").waitFor();
  await driver.button(/^Their data/);
  await driver.button("Erase this customer");
  await checked(driver, "erase");
  await driver.tap(page.getByTestId("erase"));
  await page.getByText(/This customer was erased/).waitFor();
  await driver.close();
});

it("keeps a customer who is taken down while directory, postcodes and server are gone, and sends them after", async () => {
  const driver = await world.signedIn();
  const { page } = driver;
  await world.servers.fault("directory", "down");
  await world.servers.fault("postcodes", "down");
  await page.goto(`${world.servers.url}/customers/new`);
  await driver.type("Phone 1", "360 555 0141");
  await driver.type("Name or business", "Kept In Spite");
  await driver.button("Add a place for work");
  await driver.type("Postcode", "97099");
  await world.servers.stopServer();
  await driver.tap(page.getByTestId("save-customer"));
  await page.getByRole("heading", { name: "Kept In Spite", level: 1 }).waitFor();
  await world.servers.startServer();
  await page.goto(`${world.servers.url}/find`);
  await driver.type("Name, phone, plate, VIN, email, street or number", "Kept In Spite");
  await page
    .getByRole("link", { name: /Kept In Spite/ })
    .first()
    .waitFor();
  await world.servers.fault("directory", "none");
  await world.servers.fault("postcodes", "none");
  await driver.close();
});
