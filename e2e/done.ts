export { end as default } from './ready';
