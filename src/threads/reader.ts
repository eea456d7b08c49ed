// The program of the threads that read long bodies.
import { readHere } from '../server/reading';

export default readHere;
