import { routes } from "@mechanon/contract";
import { NOBODY } from "../access/nobody";
import { lookUpPostcode } from "../customers/postcodes";
import { keepCustomerPhoto } from "../customerPages/customerPhotos";
import { ofBusiness } from "../db/ofBusiness";
import type { Mounting } from "../http/mount";
import type { Deps } from "../scope";
import { agreeToRequest } from "./agree";
import { declineRequest, offerTimes } from "./answerRequest";
import { askForVisit } from "./askForVisit";
import { askAddress, businessOfSlug, changeAskAddress, openAskPage } from "./askPages";
import { askTimes, holdAskedTime } from "./askTimes";
import { listRequests, showRequest } from "./listRequests";
import { matchRequest } from "./matchRequest";
import { findRequest } from "./model";
import { placed } from "./placed";
import { strangersCar } from "./strangersCar";

export function requestRoutes(mounting: Mounting, deps: Deps): void {
  strangersRoutes(mounting, deps);
  mounting.route(routes.listRequests, async ({ scope }) => ({ requests: await listRequests(deps, scope) }));
  mounting.route(routes.openRequest, async ({ scope, params }) => {
    const kept = await findRequest(deps.db, scope.businessId, params.id);
    const request = await showRequest(deps, scope, params.id);
    // It was found a moment ago, and requests stay.
    if (!request) throw new Error("a request that was kept is gone");
    return { request, matches: await matchRequest(deps.db, scope, kept) };
  });
  mounting.route(routes.agreeToRequest, async ({ scope, params, body }) => ({
    workOrderId: await agreeToRequest(deps, scope, params.id, body),
  }));
  mounting.route(routes.offerTimes, async ({ scope, params, body }) => {
    await offerTimes(deps, scope, params.id, body);
    return {};
  });
  mounting.route(routes.declineRequest, async ({ scope, params, body }) => {
    await declineRequest(deps, scope, params.id, body.words);
    return {};
  });
  mounting.route(routes.askAddress, async ({ scope }) => askAddress(deps, scope));
  mounting.route(routes.changeAskAddress, async ({ scope, body }) => changeAskAddress(deps, scope, body.slug));
}

/** What the public page asks. */
function strangersRoutes(mounting: Mounting, deps: Deps): void {
  /** Does something for the business behind a page's name. */
  const forPage = async <T>(slug: string, work: (businessId: string) => Promise<T>): Promise<T> => {
    const businessId = await businessOfSlug(deps.db, slug);
    return ofBusiness(businessId, () => work(businessId));
  };
  mounting.open(routes.openAskPage, async ({ params }) => openAskPage(deps, params.slug));
  mounting.open(routes.findStrangersCar, async ({ params, body }) =>
    forPage(params.slug, async () => ({ cars: await strangersCar(deps, body) })),
  );
  mounting.open(routes.findTown, async ({ params, body }) =>
    forPage(params.slug, async () => ({ towns: await lookUpPostcode(deps.outside, body.postcode) })),
  );
  mounting.open(routes.askTimes, async ({ params, body }) =>
    forPage(params.slug, async (businessId) => {
      const place = await placed(deps, body.place);
      return { times: await askTimes(deps, businessId, { ...body, place }, NOBODY) };
    }),
  );
  mounting.open(routes.holdAskedTime, async ({ params, body: { requestId, ...wanted } }) =>
    forPage(params.slug, async (businessId) => {
      const place = await placed(deps, wanted.place);
      return { heldUntil: await holdAskedTime(deps, businessId, { ...wanted, place, heldFor: requestId }) };
    }),
  );
  mounting.open(routes.addAskedPhoto, async ({ params, file }) =>
    forPage(params.slug, async (businessId) => {
      const photo = { id: params.photoId, bytes: file };
      await keepCustomerPhoto(deps, businessId, photo, { requestId: params.id, workOrderId: null });
      return {};
    }),
  );
  mounting.open(routes.askForVisit, async ({ params, body }) =>
    forPage(params.slug, async (businessId) => ({ page: await askForVisit(deps, businessId, params.id, body) })),
  );
}
