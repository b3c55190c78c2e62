import path from 'node:path';

/** Where this kitchen's data lives: `DARK_POUR_DATA`, or `.data` in the project. Always absolute. */
export function dataFolder(): string {
  return path.resolve(/* turbopackIgnore: true */ process.cwd(), process.env.DARK_POUR_DATA || '.data');
}

/** Where the migrations are. */
export function migrationsFolder(): string {
  return path.join(/* turbopackIgnore: true */ process.cwd(), 'drizzle');
}
