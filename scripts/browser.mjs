// The browser tests need Debian's chromium and chromium-driver. Installs them where that is allowed, else
// says what to do.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const needed = [
  ['/usr/bin/chromium', 'chromium'],
  ['/usr/bin/chromedriver', 'chromium-driver'],
  ['/usr/bin/java', 'default-jre-headless'],
];

export function ensureBrowser() {
  const missing = needed.filter(([path]) => !existsSync(path)).map(([, name]) => name);
  if (missing.length === 0) return;
  console.log(`Installing ${missing.join(', ')} …`);
  const apt = (...words) =>
    spawnSync('apt-get', words, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update');
  apt('install', '-y', '--no-install-recommends', ...missing);
  const still = needed.filter(([path]) => !existsSync(path)).map(([path]) => path);
  if (still.length === 0) return;
  console.error(
    `The browser tests need ${still.join(', ')}, and they could not be installed here. Install Debian's packages ${missing.join(', ')} and run npm test again.`,
  );
  process.exit(1);
}
