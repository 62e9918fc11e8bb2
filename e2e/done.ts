import { clearAway } from './ready';

export default clearAway;
