// The first test of a file also waits for its modules to be rewritten, which takes seconds on a cold machine.
jest.setTimeout(180_000);
require("@testing-library/react-native").configure({ asyncUtilTimeout: 12_000 });
