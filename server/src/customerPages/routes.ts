import { quotePaper, say } from "@mechanon/core";
import { routes, type CustomerPage } from "@mechanon/contract";
import type { Request, Response } from "express";
import type { Mounting } from "../http/mount";
import { AppError } from "../errors/appError";
import { foundPdf } from "../paper/foundPdf";
import { paperPdf } from "../paper/paperPdf";
import { findPhotos, findSmallPhoto } from "../photos/photos";
import { sendMedia } from "../photos/sendMedia";
import { withdrawRequest } from "../requests/answerRequest";
import type { Deps } from "../scope";
import { answerOnPage, takeBackOnPage } from "./answerOnPage";
import { bookOnPage, timesForWork } from "./timeForWork";
import { callOffOnPage, moveOnPage, timesOfVisit, wantEarlierOnPage } from "./changeVisit";
import { HOURS_PROVEN, proveByCode, sendCode } from "./codes";
import { keepCustomerPhoto } from "./customerPhotos";
import { withPage, type FoundPage } from "./findPage";
import { noteOpened } from "./noteOpened";
import { pickOffered } from "./pickOffered";
import { photosOf, showPage } from "./showPage";
import { notShown, requireShown } from "./shown";
import { speakOnPage } from "./speakOnPage";
import { writeOnPage } from "./writeOnPage";

const PROOF_COOKIE = "mechanon_page";

export function customerPageRoutes(mounting: Mounting, deps: Deps): void {
  const forPage = <T>(req: Request, token: string, work: (page: FoundPage) => Promise<T>): Promise<T> => {
    const cookies = req.cookies as Record<string, string | undefined>;
    return withPage(deps.db, token, cookies[PROOF_COOKIE], work);
  };
  /** Does something, and shows the page as it is then. */
  const andShow = (req: Request, token: string, work: (page: FoundPage) => Promise<void>): Promise<CustomerPage> => {
    return forPage(req, token, async (page) => {
      await work(page);
      return showAgain(page);
    });
  };
  // What was asked for may have become a work order by what was done.
  const showAgain = ({ token, isProven }: FoundPage): Promise<CustomerPage> =>
    withPage(deps.db, token, undefined, (page) =>
      showPage(deps, { ...page, isProven: isProven && page.customerId !== null }, new Date()),
    );

  mounting.open(routes.openPage, async ({ req, params }) =>
    forPage(req, params.token, async (page) => {
      await noteOpened(deps.db, page);
      return showPage(deps, page, new Date());
    }),
  );
  mounting.open(routes.speakOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => speakOnPage(deps, page, body.language)),
  );
  mounting.open(routes.sendPageCode, async ({ req, params, body }) =>
    forPage(req, params.token, async (page) => {
      await sendCode(deps, page, body.way);
      return {};
    }),
  );
  mounting.open(routes.provePage, async ({ req, res, params, body }) =>
    forPage(req, params.token, async (page) => {
      keepProof(req, res, await proveByCode(deps.db, page, body.code));
      return showAgain({ ...page, isProven: true });
    }),
  );
  mounting.open(routes.pagePhoto, async ({ req, res, params, query }) =>
    forPage(req, params.token, async (page) => {
      if (!photosOf(await showPage(deps, page, new Date())).has(params.id)) throw notShown();
      const photo =
        query.size === "small"
          ? await findSmallPhoto(deps, page.businessId, params.id)
          : (await findPhotos(deps, page.businessId, [params.id]))[0];
      if (!photo) throw new AppError("photo/not-found", "This photo has not arrived here yet.");
      res.set("Cache-Control", "private, max-age=3600");
      sendMedia(req, res, photo);
    }),
  );
  mounting.open(routes.foundPdf, async ({ req, res, params, query }) =>
    forPage(req, params.token, async (page) => {
      const shown = await showPage(deps, page, new Date());
      const order = shown.orders.find(({ id }) => id === params.id);
      if (!order || order.found.length + order.fine.length === 0) throw notShown();
      const ids = order.found.flatMap(({ pictures }) =>
        pictures.filter(({ media }) => media === "photo").map(({ photoId }) => photoId),
      );
      const photos = new Map((await findPhotos(deps, page.businessId, ids)).map(({ id, bytes }) => [id, bytes]));
      const { businessName, timeZone, language } = shown;
      const pdf = await foundPdf({ businessName, order, photos, timeZone, language: query.language ?? language });
      res.type("application/pdf").set("Content-Disposition", 'inline; filename="found.pdf"').send(pdf);
    }),
  );
  mounting.open(routes.quotePdf, async ({ req, res, params, query }) =>
    forPage(req, params.token, async (page) => {
      const { orders, businessName, businessPhone, language: theirs } = await showPage(deps, page, new Date());
      const order = orders.find(({ id }) => id === params.id);
      if (!order?.asked) throw notShown();
      const language = query.language ?? theirs;
      const { logo } = (await deps.rules.now(page.businessId)).settings.papers;
      const of = { businessName, businessPhone, car: order.car, number: order.number };
      const blocks = quotePaper(order.asked.shown, of, language);
      const pdf = await paperPdf({
        title: say(language, "answer.title"),
        author: businessName,
        language,
        logo,
        blocks,
      });
      res.type("application/pdf").set("Content-Disposition", 'inline; filename="quote.pdf"').send(pdf);
    }),
  );
  mounting.open(routes.pageLogo, async ({ req, res, params }) =>
    forPage(req, params.token, async (page) => {
      const { logo } = (await deps.rules.now(page.businessId)).settings.papers;
      if (logo === null) throw new AppError("photo/not-found", "There is no logo. The name stands on the page.");
      res.type("image/png").set("Cache-Control", "private, max-age=3600").send(Buffer.from(logo, "base64"));
    }),
  );
  mounting.open(routes.writeOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => writeOnPage(deps, page, body)),
  );
  mounting.open(routes.addPagePhoto, async ({ req, params, query, file }) =>
    andShow(req, params.token, async (page) => {
      const order = query.order ?? page.workOrderId;
      if (order !== null) await requireShown(deps.db, page, order);
      const photo = { id: params.id, bytes: file };
      await keepCustomerPhoto(deps, page.businessId, photo, {
        requestId: order === null ? page.requestId : null,
        workOrderId: order,
      });
      await writeOnPage(deps, page, { messageId: params.id, text: "", workOrderId: order });
    }),
  );
  mounting.open(routes.answerOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => answerOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.takeBackOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => takeBackOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.timesForWork, async ({ req, params }) =>
    forPage(req, params.token, async (page) => ({ times: await timesForWork(deps, page, params.id) })),
  );
  mounting.open(routes.bookOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => bookOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.pageTimes, async ({ req, params }) =>
    forPage(req, params.token, async (page) => ({ times: await timesOfVisit(deps, page, params.id) })),
  );
  mounting.open(routes.moveOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => moveOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.callOffOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => callOffOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.wantEarlierOnPage, async ({ req, params, body }) =>
    andShow(req, params.token, (page) => wantEarlierOnPage(deps, page, params.id, body)),
  );
  mounting.open(routes.pickOffered, async ({ req, params, body }) =>
    andShow(req, params.token, async (page) => {
      if (page.requestId !== params.id) throw notShown();
      await pickOffered(deps, page, params.id, body.time);
    }),
  );
  mounting.open(routes.withdrawRequest, async ({ req, params }) =>
    andShow(req, params.token, async (page) => {
      if (page.requestId !== params.id) throw notShown();
      await withdrawRequest(deps, page.businessId, params.id);
    }),
  );
}

function keepProof(req: Request, res: Response, proof: string): void {
  res.cookie(PROOF_COOKIE, proof, {
    httpOnly: true,
    sameSite: "strict",
    secure: req.secure,
    path: "/api/public/pages",
    maxAge: HOURS_PROVEN * 3_600_000,
  });
}
