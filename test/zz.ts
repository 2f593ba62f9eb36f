import { benchScreens } from './bench/screens'
await benchScreens('http://localhost:4471', '/usr/bin/chromium')
