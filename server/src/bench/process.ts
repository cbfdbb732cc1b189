import { spawn, type ChildProcess } from "node:child_process";
import { join } from "node:path";

const ROOT = join(__dirname, "..", "..", "..");

/** A program of ours in a process of its own, so that whoever asks it does not take its time. */
export interface ServerProcess {
  url: string;
  /** From its start until it listened. */
  startMs: number;
  stop(): Promise<void>;
  /** As a machine that loses its power. */
  kill(): Promise<void>;
}

/** Starts a script and waits until it says its address. @param root - another checkout's folder, for older code. */
export async function startProcess(script: string, env: Record<string, string>, root = ROOT): Promise<ServerProcess> {
  const from = performance.now();
  const child = spawn(process.execPath, ["--import", "tsx", join(root, script)], {
    cwd: root,
    env: { ...process.env, LOG_LEVEL: "error", ...env },
    stdio: ["ignore", "pipe", "inherit"],
  });
  const url = await new Promise<string>((resolve, reject) => {
    child.stdout.on("data", (chunk: Buffer) => {
      const match = /ready: (http:\/\/\S+)/.exec(chunk.toString());
      if (match?.[1]) resolve(match[1]);
    });
    child.once("exit", (code) => reject(new Error(`${script} ended with ${code}`)));
  });
  return {
    url,
    startMs: performance.now() - from,
    stop: () => end(child, "SIGTERM"),
    kill: () => end(child, "SIGKILL"),
  };
}

function end(child: ChildProcess, signal: "SIGTERM" | "SIGKILL"): Promise<void> {
  return new Promise((resolve) => {
    child.once("exit", () => resolve());
    child.kill(signal);
  });
}
