import { build, install } from './steps.mjs';

install();
build();
