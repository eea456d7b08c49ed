// The program of the threads that read long bodies.
import { readHere } from './reading';

export default readHere;
