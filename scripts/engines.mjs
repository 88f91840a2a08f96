// The other engines that sites' visitors have: Debian's Firefox ESR and WebKitGTK's driver, on a screen that nobody
// sees. Installed where that is allowed, beside whatever else runs.
import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';

const needed = [
  ['/usr/bin/firefox-esr', 'firefox-esr'],
  ['/usr/bin/WebKitWebDriver', 'webkit2gtk-driver'],
  ['/usr/bin/Xvfb', 'xvfb'],
];
const missing = () => needed.filter(([path]) => !existsSync(path)).map(([, name]) => name);

const apt = (...words) =>
  new Promise((done) => {
    const child = spawn('apt-get', words, {
      stdio: 'ignore',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    child.on('error', () => done(false));
    child.on('close', (code) => done(code === 0));
  });

/** Whether all engines are here, in the end. */
export async function ensureEngines() {
  const names = missing();
  if (names.length === 0) return true;
  if (process.getuid?.() !== 0) return false;
  console.log(`Installing ${names.join(', ')} …`);
  await apt('update');
  await apt('install', '-y', '--no-install-recommends', ...names);
  return missing().length === 0;
}

/** What is said where they cannot be had. */
export const NO_ENGINES =
  'Firefox ESR and WebKitGTK are not installed here and cannot be: the navigation was tested in Chromium alone. Install Debian’s firefox-esr, webkit2gtk-driver and xvfb to have it tested in all three.';
