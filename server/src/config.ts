import { z } from 'zod';

const schema = z.object({
  /** Where the plain application role connects. */
  MERIDEX_DATABASE_URL: z.string().regex(/^postgres(ql)?:\/\//, { message: 'a postgresql:// address' }),
  MERIDEX_HOST: z.string().default('127.0.0.1'),
  MERIDEX_PORT: z.coerce.number().int().min(0).max(65535).default(4200),
  /** `off`: the demo’s account, whose password everybody knows, signs in no more. */
  MERIDEX_DEMO: z.enum(['on', 'off'], { message: 'on or off' }).default('on'),
  /** `on`: a reverse proxy that ends TLS stands before it, whose word on address and protocol is taken. */
  MERIDEX_PROXY: z.enum(['on', 'off'], { message: 'on or off' }).default('off'),
  /** Folder of the built web application; empty: the API alone. */
  MERIDEX_WEB: z.string().default(''),
});

export interface Config {
  readonly databaseUrl: string;
  readonly host: string;
  readonly port: number;
  readonly webRoot: string | null;
  readonly demo: boolean;
  readonly proxy: boolean;
}

/** Reads the environment once; a bad setting ends the start with its name. */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const parsed = schema.safeParse(env);
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    throw new Error(`${issue.path.join('.')}: got ${env[String(issue.path[0])] ?? 'nothing'}; ${issue.message} is accepted`);
  }
  const e = parsed.data;
  return Object.freeze({
    databaseUrl: e.MERIDEX_DATABASE_URL,
    host: e.MERIDEX_HOST,
    port: e.MERIDEX_PORT,
    webRoot: e.MERIDEX_WEB || null,
    demo: e.MERIDEX_DEMO === 'on',
    proxy: e.MERIDEX_PROXY === 'on',
  });
}
