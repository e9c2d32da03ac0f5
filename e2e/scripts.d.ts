// what the browser tests use of the start scripts, which need no build and so no types of their own
declare module '*/scripts/database.mjs' {
  export function freePort(wanted: number): Promise<number>;
  export function secretIn(file: string): string;
  export function startDatabase(
    folder: string,
    options: { port: number; durable: boolean },
  ): Promise<{ url: string; port: number; stop: () => Promise<void> }>;
}

declare module '*/scripts/run-clinic.mjs' {
  export function startOver(name: string, options: { below: string; seal: string }): void;
}

declare module '*/scripts/server.mjs' {
  export function startServer(options: {
    root: string;
    port: number;
    env: Record<string, string>;
    quiet?: boolean;
  }): Promise<{ address: string; stop: () => Promise<void> }>;
}
