// Migrates the database and brings the shipped catalogue and sample kitchens up to date. Idempotent. Runs in the folder of the project.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { notInArray, sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { shippedModels } from '../data/models';
import { samples } from '../data/samples';
import { connect } from '../src/db/connect';
import { catalogueModel, sampleKitchen } from '../src/db/schema';
import { readKitchenText } from '../src/core/formats/kitchenFile';

const url = process.env.DATABASE_URL;
if (!url) throw new Error('DATABASE_URL is not set');
const { db, pool } = connect(url, { patient: true });
/** Two commands may fill one database at once; the lock makes them take turns. */
const LOCK = 720_041;

await db.execute(sql`select pg_advisory_lock(${LOCK})`);
await migrate(db, { migrationsFolder: join('src', 'db', 'migrations') });
await db.transaction(async (tx) => {
  const rows = shippedModels.map((model) => ({
    id: model.id,
    type: model.type,
    maker: model.maker,
    lengthMm: Math.round(model.lengthMm),
    priceMinor: model.priceMinor,
    model,
  }));
  await tx
    .insert(catalogueModel)
    .values(rows)
    .onConflictDoUpdate({
      target: catalogueModel.id,
      set: {
        type: sql`excluded.type`,
        maker: sql`excluded.maker`,
        lengthMm: sql`excluded.length_mm`,
        priceMinor: sql`excluded.price_minor`,
        model: sql`excluded.model`,
      },
    });
  await tx.delete(catalogueModel).where(
    notInArray(
      catalogueModel.id,
      rows.map((row) => row.id),
    ),
  );
  await tx.delete(sampleKitchen);
  await tx.insert(sampleKitchen).values(
    samples.map(({ id, about }, position) => ({
      id,
      about,
      position,
      document: readKitchenText(readFileSync(join('data', 'kitchens', `${id}.json`), 'utf8')),
    })),
  );
});
// the application writes what belongs to workspaces and only reads the rest; a database of one's own may have no such role
const [app] = (
  await db.execute<{ there: boolean }>(sql`select true as there from pg_roles where rolname = 'scabbard_app'`)
).rows;
if (app)
  await db.execute(sql`
    grant usage on schema public to scabbard_app;
    grant select, insert, update, delete on workspace, workspace_key, workspace_model, kitchen, kept, recipe_correction, shown_plan, edge_calendar, import_part to scabbard_app;
    grant select on catalogue_model, sample_kitchen to scabbard_app;`);
await pool.end();
