import { z } from "zod";
import { IMPORT_FIELDS } from "@mechanon/core";
import { idField, idParams, pageQuery, textField } from "../fields";
import { route } from "../route";

/** Largest file taken in; fifty thousand rows are about a fifth of it. */
export const MOST_IMPORT_BYTES = 48 * 1024 * 1024;

/** What a file of customers may call itself; what it is is read from it. */
export const IMPORT_TYPES = ["text/csv", "text/vcard", "application/octet-stream"] as const;

const field = z.enum(IMPORT_FIELDS);
export const IMPORT_STATUSES = [
  "reading",
  "read",
  "checking",
  "checked",
  "running",
  "done",
  "undoing",
  "undone",
  "failed",
] as const;
/** What becomes, or became, of a row. */
export const ROW_OUTCOMES = ["new", "joins", "fills", "skips", "fault"] as const;
export type RowOutcome = (typeof ROW_OUTCOMES)[number];
/** What is done with somebody who is kept already. */
export const DOUBLE_POLICIES = ["fill", "skip", "add"] as const;
export const ENCODINGS = ["utf-8", "windows-1252", "iso-8859-2", "utf-16le", "macroman"] as const;

export const importView = z
  .object({
    id: z.string(),
    fileName: z.string(),
    format: z.enum(["csv", "vcard"]),
    status: z.enum(IMPORT_STATUSES),
    encoding: z.string(),
    columns: z.array(z.object({ heading: z.string(), samples: z.array(z.string()) })),
    mapping: z.array(field.nullable()),
    doubles: z.enum(DOUBLE_POLICIES),
    rowCount: z.number().int(),
    /** Rows the present step is through with. */
    doneCount: z.number().int(),
    counts: z.record(z.enum(ROW_OUTCOMES), z.number().int()),
    /** How many customers and cars an undo left, since somebody has worked with them. */
    keptByUndo: z.number().int().nullable(),
    problem: z.string().nullable(),
    createdAt: z.string(),
  })
  .meta({ id: "Import" });
export type ImportView = z.infer<typeof importView>;

export const importRow = z.object({
  row: z.number().int(),
  outcome: z.enum(ROW_OUTCOMES).nullable(),
  name: z.string(),
  /** What did not fit, whom it joins or fills. */
  remarks: z.array(z.string()),
  customerId: z.string().nullable(),
});
export type ImportRowView = z.infer<typeof importRow>;

const rowQuery = z.object({ ...pageQuery, outcome: z.enum(ROW_OUTCOMES).optional() });
/** Which customers: all, or those named, separated by commas. */
const exportQuery = z.object({
  ids: z
    .string()
    .max(20_000)
    .transform((text) => text.split(","))
    .pipe(z.array(idField))
    .optional(),
});

export const transferRoutes = {
  startImport: route({
    method: "post",
    path: "/api/imports/:id",
    area: "transfer",
    right: "settings",
    summary: "Take in a file (the body is its bytes) and read it in the background; the same id again changes nothing",
    params: idParams,
    query: z.object({ name: textField(200) }),
    file: { types: IMPORT_TYPES, mostBytes: MOST_IMPORT_BYTES },
    answer: importView,
    status: 202,
  }),
  listImports: route({
    method: "get",
    path: "/api/imports",
    area: "transfer",
    right: "settings",
    summary: "The newest imports",
    answer: z.object({ imports: z.array(importView) }),
  }),
  getImport: route({
    method: "get",
    path: "/api/imports/:id",
    area: "transfer",
    right: "settings",
    summary: "How far an import is",
    params: idParams,
    answer: importView,
  }),
  importRows: route({
    method: "get",
    path: "/api/imports/:id/rows",
    area: "transfer",
    right: "settings",
    summary: "The report, row by row: a page",
    params: idParams,
    query: rowQuery,
    answer: z.object({ rows: z.array(importRow), count: z.number().int() }),
  }),
  rereadImport: route({
    method: "post",
    path: "/api/imports/:id/reread",
    area: "transfer",
    right: "settings",
    summary: "Read the file again in another encoding",
    params: idParams,
    body: z.strictObject({ encoding: z.enum(ENCODINGS) }),
    answer: importView,
  }),
  checkImport: route({
    method: "post",
    path: "/api/imports/:id/check",
    area: "transfer",
    right: "settings",
    summary: "Try all rows in the background without keeping anything",
    params: idParams,
    body: z.strictObject({ mapping: z.array(field.nullable()).max(500), doubles: z.enum(DOUBLE_POLICIES) }),
    answer: importView,
  }),
  runImport: route({
    method: "post",
    path: "/api/imports/:id/run",
    area: "transfer",
    right: "settings",
    summary: "Take in the checked rows in the background: all, or those chosen",
    params: idParams,
    mostBytes: 1024 * 1024,
    body: z.strictObject({ rows: z.union([z.literal("all"), z.array(z.number().int().min(1)).min(1).max(100_000)]) }),
    answer: importView,
  }),
  undoImport: route({
    method: "post",
    path: "/api/imports/:id/undo",
    area: "transfer",
    right: "settings",
    summary: "Take out again what an import brought in, but for what somebody has worked with since",
    params: idParams,
    answer: importView,
  }),
  exportCustomersCsv: route({
    method: "get",
    path: "/api/exports/customers.csv",
    area: "transfer",
    right: "settings",
    summary: "Customers as CSV",
    query: exportQuery,
  }),
  exportContactsCsv: route({
    method: "get",
    path: "/api/exports/contacts.csv",
    area: "transfer",
    right: "settings",
    summary: "Contacts as CSV",
    query: exportQuery,
  }),
  exportCarsCsv: route({
    method: "get",
    path: "/api/exports/cars.csv",
    area: "transfer",
    right: "settings",
    summary: "Cars as CSV",
    query: exportQuery,
  }),
  exportVcards: route({
    method: "get",
    path: "/api/exports/customers.vcf",
    area: "transfer",
    right: "settings",
    summary: "Customers and contacts as vCard 4.0",
    query: exportQuery,
  }),
};
