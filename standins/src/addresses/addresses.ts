import { Router } from "express";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { findAddress, readRoadNetwork, type RoadNetwork } from "@mechanon/core";
import { POSTCODES } from "@mechanon/demo";

const FILE = join(__dirname, "..", "..", "..", "demo", "roads", "region.geojson");

/** Addresses of the region, by street and number, misspelled by a letter too. */
export function addresses(): Router {
  const router = Router();
  let network: RoadNetwork | undefined;
  router.get("/", (req, res) => {
    network ??= readRoadNetwork(JSON.parse(readFileSync(FILE, "utf8")) as unknown);
    const { typed } = req.query;
    const found = typeof typed === "string" ? findAddress(network, typed) : [];
    res.json({
      addresses: found.map((address) => {
        const postal = POSTCODES.find((entry) => entry.town === address.town);
        return { ...address, region: postal?.region ?? "", postcode: postal?.postcode ?? "" };
      }),
    });
  });
  return router;
}
