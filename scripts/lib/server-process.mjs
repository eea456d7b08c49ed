// Runs the built server named on the command line, and ends with the command that started it, however that ends.
import { pathToFileURL } from 'node:url';

process.once('disconnect', () => process.exit(0));
process.once('SIGTERM', () => process.exit(0));
await import(pathToFileURL(process.argv[2]).href);
