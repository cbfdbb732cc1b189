import { showVehicle } from "./vehicleName";

it.each([
  [{ year: 2019, make: "HONDA", model: "Accord" }, "2019 Honda Accord"],
  [{ year: null, make: "BMW", model: null }, "BMW"],
  [{ year: null, make: null, model: null }, "Car without a name"],
  [{ year: 2015, make: "MERCEDES-BENZ", model: "C" }, "2015 Mercedes-Benz C"],
])("car %p", (car, name) => expect(showVehicle(car)).toBe(name));
