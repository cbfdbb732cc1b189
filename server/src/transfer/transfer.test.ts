import { encode } from "iconv-lite";
import Papa from "papaparse";
import { QueryTypes } from "sequelize";
import { v7 as uuid } from "uuid";
import type { CustomerSheetView, Found, ImportRowView, ImportView } from "@mechanon/contract";
import {
  sendCommand,
  startTestServer,
  until,
  type HttpAnswer,
  type TestPerson,
  type TestServer,
} from "../testing/testServer";

let server: TestServer;
let odile: TestPerson;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.signIn();
});
afterAll(() => server?.stop());

type Imported = ImportView & { code: string; detail: string };

const upload = (content: string | Buffer, name = "customers.csv", id = uuid()): Promise<HttpAnswer<Imported>> =>
  odile.send<Imported>(
    "POST",
    `/api/imports/${id}?name=${encodeURIComponent(name)}`,
    content instanceof Buffer ? new Uint8Array(content) : content,
    { "Content-Type": "text/csv" },
  );
const settled = async (id: string): Promise<Imported> =>
  (
    await until(
      () => odile.get<Imported>(`/api/imports/${id}`),
      ({ body }) => !/ing$/.test(body.status),
      300,
    )
  ).body;
const read = async (content: string | Buffer, name?: string): Promise<Imported> =>
  settled((await upload(content, name)).body.id);
const step = async (id: string, what: string, body?: object): Promise<Imported> => {
  const answer = await odile.post<Imported>(`/api/imports/${id}/${what}`, body);
  if (answer.status !== 200) return answer.body;
  return settled(id);
};
const check = async (
  file: Imported,
  doubles: ImportView["doubles"] = "fill",
  mapping = file.mapping,
): Promise<Imported> => step(file.id, "check", { mapping, doubles });
const bringIn = async (content: string | Buffer, doubles?: ImportView["doubles"], name?: string): Promise<Imported> => {
  const file = await check(await read(content, name), doubles);
  return step(file.id, "run", { rows: "all" });
};
const rowsOf = async (id: string): Promise<ImportRowView[]> =>
  (await odile.get<{ rows: ImportRowView[] }>(`/api/imports/${id}/rows`)).body.rows;
const sheetOf = async (typed: string): Promise<CustomerSheetView | undefined> => {
  const { body } = await odile.get<Found>(`/api/search?q=${encodeURIComponent(typed)}`);
  // Who has but a part of what was typed is somebody else.
  const id = body.oddWords.length > 0 ? undefined : body.customers[0]?.customer.id;
  return id === undefined ? undefined : (await odile.get<CustomerSheetView>(`/api/customers/${id}`)).body;
};

const FILE = [
  "Name,Company,Mobile,E-Mail,Street,City,State,Zip,VIN,Plate,Year,Make,Model,Shoe size",
  'thea winslow,,360 555 0201,thea@example.com,"9 Kelp Street, rear",Larkhaven,WA,98099,,TWL0201,2012,Honda,Fit,41',
  "Thea Winslow,,(360) 555-0201,,,,,,,TWL0202,2016,Kia,Soul,",
  "Pell Arden,Arden Roofing,360.555.0202,,,,,,,,,,,",
  "Maren Oyelaran,,360-555-0111,maren.work@example.com,,,,,,,,,,",
  ",,360 555 0203,,,,,,,,,,,",
  "=HYPERLINK(1),,12,,,,,,,,,,,",
  "short row,,360 555 0204",
].join("\r\n");

describe("a CSV file", () => {
  it("is read in the background, its columns guessed, and tried without keeping anything", async () => {
    const file = await read(FILE);
    expect(file).toMatchObject({ status: "read", format: "csv", encoding: "utf-8", rowCount: 7 });
    expect(file.mapping).toEqual([
      "name",
      "business",
      "mobilePhone",
      "email",
      "street",
      "town",
      "region",
      "postcode",
      "carVin",
      "carPlate",
      "carYear",
      "carMake",
      "carModel",
      null,
    ]);
    expect(file.columns[4]).toEqual({ heading: "Street", samples: ["9 Kelp Street, rear"] });
    const checked = await check(file);
    expect(checked).toMatchObject({ status: "checked", counts: { new: 4, joins: 1, fills: 1, skips: 0, fault: 1 } });
    const rows = await rowsOf(file.id);
    expect(rows.map(({ outcome, remarks }) => [outcome, remarks[0]])).toEqual([
      ["new", undefined],
      ["joins", "same customer as row 1"],
      ["new", undefined],
      ["fills", "kept already: Maren Oyelaran"],
      ["fault", "no name and no business name"],
      ["new", expect.stringContaining("formula")],
      ["new", "the row has 3 columns, the heading 14"],
    ]);
    expect(await sheetOf("winslow")).toBeUndefined();
  });

  it("brings in new ones with cars, joins rows of one customer, fills in who is kept, and is undone whole", async () => {
    const marenBefore = await sheetOf("Maren Oyelaran");
    const file = await bringIn(FILE);
    expect(file).toMatchObject({ status: "done", doneCount: 7 });
    const thea = await sheetOf("thea winslow");
    expect(thea?.customer).toMatchObject({
      name: "Thea Winslow",
      phones: [{ number: "+13605550201", label: "Mobile" }],
    });
    expect(thea?.vehicles.map(({ plate }) => plate)).toEqual(["TWL0201", "TWL0202"]);
    expect((await sheetOf("TWL0202"))?.customer.id).toBe(thea?.customer.id);
    expect((await sheetOf("arden"))?.customer).toMatchObject({
      kind: "business",
      name: "Arden Roofing",
      contacts: [{ name: "Pell Arden" }],
    });
    expect((await sheetOf("Maren Oyelaran"))?.customer.emails.map(({ address }) => address)).toEqual([
      "maren@example.com",
      "maren.work@example.com",
    ]);
    expect((await sheetOf("hyperlink"))?.customer.notes).toBe("Phone as it came: 12");

    expect(await step(file.id, "undo")).toMatchObject({ status: "undone", keptByUndo: 0 });
    for (const typed of ["thea winslow", "arden", "TWL0201", "hyperlink"])
      expect([typed, await sheetOf(typed)]).toEqual([typed, undefined]);
    expect(await sheetOf("Maren Oyelaran")).toEqual(marenBefore);
  });

  it("joins rows of one customer however far apart they stand in the file", async () => {
    const rows = Array.from({ length: 650 }, (_, index) => {
      const [who, again] = [index % 325, index >= 325];
      const house = `${who} Skerry ${again ? "St" : "Street"}`;
      return `Far${who} Apart,${who % 2 === 0 ? `+1360556${1000 + who}` : ""},${again ? house.toUpperCase() : house},FAR${index}`;
    });
    const file = await bringIn(["Name,Phone,Street,Plate", ...rows].join("\n"));
    expect(file).toMatchObject({ status: "done", doneCount: 650, counts: { new: 325, joins: 325 } });
    expect((await sheetOf("far324 apart"))?.vehicles.map(({ plate }) => plate)).toEqual(["FAR324", "FAR649"]);
    expect(await step(file.id, "undo")).toMatchObject({ status: "undone", keptByUndo: 0 });
  });

  it("leaves with an undo whom somebody has worked with since", async () => {
    const file = await bringIn("Name,Phone,Plate\nUna Kettle,360 555 0211,UNA0211\nIda Kettle,360 555 0212,IDA0212");
    const una = await sheetOf("una kettle");
    await sendCommand(odile, uuid(), {
      type: "openWorkOrder",
      customerId: una?.customer.id,
      vehicleId: una?.vehicles[0]?.id,
      concerns: [],
    });
    expect(await step(file.id, "undo")).toMatchObject({ status: "undone", keptByUndo: 1 });
    expect((await sheetOf("una kettle"))?.vehicles).toHaveLength(1);
    expect(await sheetOf("ida kettle")).toBeUndefined();
  });

  it("leaves nothing of somebody who is erased", async () => {
    const file = await bringIn("Name,Phone,Notes\nZephyrine Vandersloot,360 555 0213,likes tea");
    const { customer } = (await sheetOf("vandersloot")) ?? {};
    expect((await odile.post(`/api/customers/${customer?.id ?? ""}/erase`, { version: 1 })).status).toBe(200);
    expect((await rowsOf(file.id)).map(({ name }) => name)).toEqual([""]);
    for (const table of ["imports", "import_rows", "customers", "search_words"]) {
      const columns = table === "imports" ? "encode(bytes, 'escape') || t.columns::text" : "t::text";
      const rows = await server.db.query(`select 1 from ${table} t where ${columns} ~* 'vandersloot'`, {
        type: QueryTypes.SELECT,
      });
      expect([table, rows]).toEqual([table, []]);
    }
  });

  it("takes only the rows chosen, and each once however often it is asked", async () => {
    const file = await check(await read("Name\nOne Chosen\nTwo Left"));
    const [a, b] = await Promise.all(
      [1, 2].map(() => odile.post<Imported>(`/api/imports/${file.id}/run`, { rows: [1] })),
    );
    expect([a?.status, b?.status].sort()).toEqual([200, 409]);
    expect((await settled(file.id)).status).toBe("done");
    expect([(await sheetOf("one chosen"))?.customer.name, await sheetOf("two left")]).toEqual([
      "One Chosen",
      undefined,
    ]);
  });

  it("can leave out who is kept, or add them anyway", async () => {
    const line = "Name,Phone\nMaren O,360 555 0111";
    expect((await check(await read(line), "skip")).counts).toMatchObject({ skips: 1, new: 0 });
    expect((await check(await read(line), "add")).counts).toMatchObject({ skips: 0, new: 1 });
  });

  it.each([
    ["semicolons", "Name;Phone\nSöla Krüger;360 555 0221"],
    ["tabs", "Name\tPhone\nSöla Krüger\t360 555 0221"],
    ["quotes around everything, line ends of two kinds", '"Name","Phone"\r\n"Söla Krüger","360 555 0221"\n'],
    ["a mark of the encoding", "\uFEFFName,Phone\nSöla Krüger,360 555 0221"],
    ["another encoding", encode("Name,Phone\nSöla Krüger,360 555 0221\n", "windows-1252")],
    ["two bytes a letter", encode("Name,Phone\nSöla Krüger,360 555 0221\n", "utf-16le", { addBOM: true })],
  ])("may have %s", async (_what, content) => {
    const file = await check(await read(content));
    expect((await rowsOf(file.id)).map(({ name, outcome }) => [name, outcome])).toEqual([["Söla Krüger", "new"]]);
  });

  it("is read again in the encoding a person picks", async () => {
    const file = await read(encode("Name\nPéter Nagy\n", "macroman"));
    const again = await step(file.id, "reread", { encoding: "macroman" });
    expect(again.columns[0]?.samples).toEqual(["Péter Nagy"]);
  });

  it("with broken quotes is still read, and says what came of it", async () => {
    const file = await check(await read('Name,Phone\n"Open Quote,360 555 0222\nNext Row,360 555 0223\n'));
    expect(file).toMatchObject({ status: "checked", rowCount: 1 });
    expect((await rowsOf(file.id))[0]?.remarks).toContain("the row has 1 columns, the heading 2");
  });

  it.each([
    ["an empty file", "", "import/unreadable"],
    ["a spreadsheet", Buffer.from("PK\u0003\u0004rest"), "import/unreadable"],
    ["a PDF called .csv", Buffer.from("%PDF-1.7"), "import/unreadable"],
    ["more than the server takes", Buffer.alloc(49 * 1024 * 1024, "a"), "request/too-large"],
  ])("%s is refused with a clear word", async (_what, content, code) => {
    expect((await upload(content)).body.code).toBe(code);
  });

  it("of a heading alone fails with a clear word", async () => {
    expect(await read("Name,Phone\n")).toMatchObject({
      status: "failed",
      problem: expect.stringContaining("no row below") as string,
    });
  });

  it("is not run before it was tried, nor by who may not", async () => {
    const file = await read("Name\nToo Early");
    expect(await step(file.id, "run", { rows: "all" })).toMatchObject({ code: "import/not-now" });
    expect(await step(uuid(), "run", { rows: "all" })).toMatchObject({ code: "import/not-found" });
    const wren = await server.signIn("wren");
    expect((await wren.post<Imported>(`/api/imports/${uuid()}?name=x.csv`, "Name\nA")).body.code).toBe(
      "rights/missing",
    );
  });
});

describe("vCards", () => {
  const CARDS = [
    "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:Wilma Ostrander\r\nTEL;VALUE=uri;TYPE=cell:tel:+13605550231\r\nEMAIL:wilma@example.com\r\nADR:;;3 Ebb Court;Larkhaven;WA;98099;\r\nRELATED;VALUE=text;TYPE=spouse:Ivo Ostrander\r\nNOTE:Gate sticks\\, push\r\nEND:VCARD",
    "BEGIN:VCARD\nVERSION:3.0\nN:Pike;Orla;;;\nTEL;TYPE=WORK,VOICE:360 555 0232\nORG:Pike Electric\nEND:VCARD",
    "BEGIN:VCARD\nVERSION:4.0\nbroken line\nEND:VCARD",
  ].join("\r\n");

  it("come in, of either version, broken ones told", async () => {
    const file = await bringIn(CARDS, "fill", "people.vcf");
    expect(file).toMatchObject({ format: "vcard", status: "done", counts: { new: 2, fault: 1 } });
    expect((await sheetOf("ostrander"))?.customer).toMatchObject({
      name: "Wilma Ostrander",
      phones: [{ number: "+13605550231", label: "Mobile" }],
      serviceAddresses: [{ place: { street: "3 Ebb Court", postcode: "98099" } }],
      contacts: [{ name: "Ivo Ostrander", role: "Spouse" }],
      notes: "Gate sticks, push",
    });
    expect((await sheetOf("pike"))?.customer).toMatchObject({
      kind: "business",
      name: "Pike Electric",
      contacts: [{ name: "Orla Pike" }],
    });
  });

  it("go out, and come in again as the same customers", async () => {
    const { body, headers } = await odile.get<string>("/api/exports/customers.vcf");
    expect(headers.get("content-type")).toContain("text/vcard");
    expect(body).toContain("TEL;VALUE=uri;TYPE=cell:tel:+13605550111");
    expect(body.match(/^VERSION:4\.0/gm)?.length).toBe(body.match(/^BEGIN:VCARD/gm)?.length);
    const file = await check(await read(body, "all.vcf"), "skip");
    expect(file.counts).toMatchObject({ fault: 0, joins: 0 });
    expect(file.counts.skips).toBeGreaterThan(file.counts.new);
  });
});

describe("CSV out", () => {
  it("has all customers, contacts and cars, and comes in again without a loss", async () => {
    const customers = (await odile.get<string>("/api/exports/customers.csv")).body;
    const { data } = Papa.parse<Record<string, string>>(customers.replace(/^\uFEFF/, ""), {
      header: true,
      skipEmptyLines: true,
    });
    const maren = data.find(({ Name }) => Name === "Maren Oyelaran");
    expect(maren).toMatchObject({
      Phone: "(360) 555-0111",
      "Site street": "18 Heron Landing",
      "Site gate code": "4410",
    });
    const checked = await check(await read(customers), "skip");
    expect(checked.mapping).not.toContain(null);
    // Also who has nothing but a name is known again, by the number of the record.
    expect((await rowsOf(checked.id)).filter(({ outcome }) => outcome !== "skips").map(({ name }) => name)).toEqual([]);
    const cars = (await odile.get<string>("/api/exports/cars.csv")).body;
    expect(cars).toContain("1HGCV1F34KA048217,LRK1204,WA,2019,Honda,Accord,Gray");
    expect(cars).toContain("2014,Dodge,Grand Caravan,White,2\r\n");
    expect((await read(cars)).mapping).not.toContain(null);
    expect((await odile.get<string>("/api/exports/contacts.csv")).body).toContain("Gideon Maas,Fleet manager");
  });

  it("has only those named, and no formula runs in a table program", async () => {
    const id = uuid();
    await odile.post(
      "/api/customers",
      { id, name: "=cmd|' /C calc'!A0", phones: [{ number: "+353 1 555 0177" }] },
      { "Idempotency-Key": id },
    );
    const { body } = await odile.get<string>(`/api/exports/customers.csv?ids=${id}`);
    const lines = body.trim().split("\r\n");
    expect(lines).toHaveLength(2);
    expect(lines[1]).toMatch(/^[^,]+,"?'=cmd/);
    expect(lines[1]).toContain(",+353 1 555 0177");
    expect((await odile.get<{ code: string }>("/api/exports/customers.csv?ids=x")).body.code).toBe("request/invalid");
    for (const [name, isEscaped] of [
      ["-1+cmd|' /C calc'!A0", true],
      ['+1+HYPERLINK("http://example.com")', true],
      ["＝SUM(A1)", true],
      ["@SUM(A1)", true],
      ["- a dash for a name", true],
      ["-12.50", false],
    ] as const) {
      const own = uuid();
      await odile.post("/api/customers", { id: own, name }, { "Idempotency-Key": own });
      const [, line] = (await odile.get<string>(`/api/exports/customers.csv?ids=${own}`)).body.trim().split("\r\n");
      expect([name, /^[^,]+,"?'/.test(line ?? "")]).toEqual([name, isEscaped]);
    }
  });
});

describe("two imports of the same people", () => {
  const FIRST =
    "Name,Phone,Email,Plate\nOona Brae,360 555 0241,oona@example.com,OON0241\nPiet Brae,360 555 0242,,PIE0242";
  const SECOND =
    "Name,Phone,Email,Plate\nOona Brae,360 555 0241,oona.work@example.com,OON0241\nPiet Brae,360 555 0242,,PIE0242";
  const plates = async (typed: string): Promise<(string | null)[] | undefined> =>
    (await sheetOf(typed))?.vehicles.map(({ plate }) => plate);

  it.each(["fill", "skip"] as const)(
    "undone in either order lose nothing that the other brought (%s)",
    async (doubles) => {
      const first = await bringIn(FIRST);
      const second = await bringIn(SECOND, doubles);
      await step(first.id, "undo");
      expect(await plates("oona brae")).toEqual(["OON0241"]);
      expect((await sheetOf("piet brae"))?.customer.phones).toHaveLength(1);
      await step(second.id, "undo");
      expect([await sheetOf("oona brae"), await sheetOf("piet brae"), await sheetOf("OON0241")]).toEqual([
        undefined,
        undefined,
        undefined,
      ]);

      const again = await bringIn(FIRST);
      const over = await bringIn(SECOND, doubles);
      await step(over.id, "undo");
      expect(await plates("oona brae")).toEqual(["OON0241"]);
      expect((await sheetOf("oona brae"))?.customer.emails).toHaveLength(1);
      await step(again.id, "undo");
      expect(await sheetOf("oona brae")).toBeUndefined();
    },
  );
});

describe("a file of what no table is", () => {
  it.each([
    ["people.csv", Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46]), "This is a picture"],
    ["zeros.csv", Buffer.from(Array.from({ length: 300 }, (_, at) => (at % 7 === 0 ? 0 : 65))), "This is no text"],
  ])("%s is refused at once, with what it is", async (name, bytes, words) => {
    const { status, body } = await upload(bytes, name);
    expect([status, body.detail]).toEqual([422, expect.stringContaining(words)]);
  });
  it("a quote that is not closed fails with where it is, and brings nothing in", async () => {
    const rows = Array.from(
      { length: 60 },
      (_, index) => `Quoted Person${index},360 557 0${100 + index},1 Kelp St,Larkhaven,WA`,
    );
    rows[9] = `"${rows[9]}`;
    const file = await read(["Name,Phone,Street,Town,State", ...rows].join("\n"));
    expect(file).toMatchObject({
      status: "failed",
      problem: expect.stringContaining("from about line 11 on, one field goes over 51 lines") as unknown,
    });
    expect(await sheetOf("Quoted Person3")).toBeUndefined();
  });
});

describe("an import", () => {
  it("also makes those found whom a killed server had kept and not yet indexed", async () => {
    const id = uuid();
    await server.db.query(
      `insert into customers (business_id, id, name, details) select business_id, $1, 'Osgar Halfkept', details from customers limit 1`,
      { bind: [id] },
    );
    expect(await sheetOf("halfkept")).toBeUndefined();
    await bringIn("Name\nIda Wholly");
    expect((await sheetOf("halfkept"))?.customer.id).toBe(id);
  });
});
