declare namespace NodeJS {
  interface Require {
    /** Metro's: the modules of a folder, each loaded when it is called by its key. */
    context(
      folder: string,
      deep?: boolean,
      filter?: RegExp,
      mode?: string,
    ): { keys(): string[]; (key: string): unknown };
  }
}
