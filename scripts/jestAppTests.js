// The first test of a file also waits for its modules to be rewritten, which takes seconds on a cold machine; the VIN
// engine, which works in the test's own thread, held one up for six on a busy one.
jest.setTimeout(60_000);
require("@testing-library/react-native").configure({ asyncUtilTimeout: 20_000 });
