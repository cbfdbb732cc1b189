import { z } from "zod";
import { createDocument, type ZodOpenApiOperationObject, type ZodOpenApiPathsObject } from "zod-openapi";
import { PHOTO_TYPES } from "./photos";
import { problem } from "./problem";
import type { Route } from "./route";
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
    tags: [route.area],
    security: route.open ? [] : [{ session: [] }],
    requestParams: {
      ...(route.params ? { path: route.params as z.ZodObject } : {}),
      ...(route.query ? { query: route.query as z.ZodObject } : {}),
      ...(headers ? { header: headers } : {}),
    },
    ...(route.body ? { requestBody: { required: true, content: { "application/json": { schema: route.body } } } } : {}),
    ...(operationId === "startImport"
      ? {
          requestBody: {
            required: true,
            content: Object.fromEntries(
              ["text/csv", "text/vcard"].map((type) => [type, { schema: { type: "string" as const } }]),
            ),
          },
        }
      : {}),
    ...(operationId === "putPhoto"
      ? {
          requestBody: {
            required: true,
            content: Object.fromEntries(
              PHOTO_TYPES.map((type) => [type, { schema: { type: "string" as const, format: "binary" } }]),
            ),
          },
        }
      : {}),
    responses: {
      [status]: route.answer
        ? { description: "Done", content: { "application/json": { schema: route.answer } } }
        : { description: "Done" },
      default: { description: "A problem", ...problems },
    },
  };
}
