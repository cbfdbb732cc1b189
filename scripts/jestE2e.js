jest.setTimeout(900_000);
