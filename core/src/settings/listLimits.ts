/** How many items each list of the settings holds at most. */
export const LIST_LIMITS = {
  concerns: 500,
  concernGaps: 20,
  intervals: 60,
  questions: 20,
  libraryJobs: 2000,
  pay: 200,
  crew: 200,
  inspection: 400,
  sheets: 40,
  stock: 3000,
} as const;
