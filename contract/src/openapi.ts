import { z } from "zod";
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from "zod-openapi";
import { problem } from "./problem";
import { MOST_JSON_BYTES, type Route } from "./route";
import { routes } from "./routes";

/** The OpenAPI 3.1 description of every route, made from the same schemas that check them. */
export function openApiDocument(version: string): ReturnType<typeof createDocument> {
  const paths: ZodOpenApiPathsObject = {};
  for (const [operationId, route] of Object.entries(routes as Record<string, Route>)) {
    const path = route.path.replace(/:(\w+)/g, "{$1}");
    paths[path] = { ...paths[path], [route.method]: describe(operationId, route) };
  }
  return createDocument({
    openapi: "3.1.0",
    info: {
      title: "Mechanon",
      version,
      description: "The day of a mobile mechanic. Errors are RFC 9457 problem documents with a stable `code`.",
    },
    servers: [{ url: "/" }],
    paths,
    components: { securitySchemes: { session: { type: "apiKey", in: "cookie", name: "mechanon_session" } } },
  });
}

function describe(operationId: string, route: Route): ZodOpenApiOperationObject {
  const status = String(route.status ?? 200);
  const headers = route.keyed ? z.object({ "Idempotency-Key": z.uuid() }) : undefined;
  const problems = { content: { "application/problem+json": { schema: problem } } };
  return {
    operationId,
    summary: route.summary,
    ...(limitsOf(route) === "" ? {} : { description: limitsOf(route) }),
    tags: [route.area],
    security: route.open ? [] : [{ session: [] }],
    requestParams: {
      ...(route.params ? { path: route.params as z.ZodObject } : {}),
      ...(route.query ? { query: route.query as z.ZodObject } : {}),
      ...(headers ? { header: headers } : {}),
    },
    ...bodyOf(route),
    responses: {
      [status]: route.answer
        ? { description: "Done", content: { "application/json": { schema: route.answer } } }
        : { description: "Done" },
      default: { description: "A problem", ...problems },
    },
  };
}

/** What of its declaration OpenAPI has no word for. */
function limitsOf({ right, rate, body, file, mostBytes }: Route): string {
  const most = file?.mostBytes ?? (body ? (mostBytes ?? MOST_JSON_BYTES) : null);
  return [
    right ? `Needs the right: ${right}.` : "",
    rate ? `At most ${rate.most} times in ${rate.minutes} minutes for each person.` : "",
    most === null ? "" : `The body has ${most} bytes at most.`,
  ]
    .filter(Boolean)
    .join(" ");
}

function bodyOf({ body, file }: Route): Pick<ZodOpenApiOperationObject, "requestBody"> {
  if (body) return { requestBody: { required: true, content: { "application/json": { schema: body } } } };
  if (!file) return {};
  const schema = { type: "string" as const, format: "binary" };
  return {
    requestBody: { required: true, content: Object.fromEntries(file.types.map((type) => [type, { schema }])) },
  };
}
