/** A car as the wire shows it, as one JSON object from a table named `v`. */
export const VEHICLE_JSON = `json_build_object('id', v.id, 'customerId', v.customer_id, 'vin', v.vin, 'vinNote', v.vin_note,
  'plate', v.plate, 'region', v.region, 'year', v.year, 'make', v.make, 'model', v.model, 'trim', v.trim,
  'engine', v.engine, 'drive', v.drive, 'transmission', v.transmission, 'color', v.color,
  'unitNumber', v.unit_number, 'nickname', v.nickname, 'photoId', v.photo_id, 'version', v.version)`;
