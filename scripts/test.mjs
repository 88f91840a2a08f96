// `npm test`: all set-up that the tests need, then formatting, lint, types, and every test there is. Ends with the runner's own count.
import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { ensureBrowser } from './browser.mjs';
import { root } from './freshness.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';

process.chdir(root);
await ensureInstalled();
ensureBrowser();
await ensureBuilt();

const bin = (name) => join(root, 'node_modules', '.bin', name);

/** Runs a command; its output is shown when it is over, so that those that run together do not mix. */
function run(what, command, words) {
  return new Promise((done) => {
    const begin = performance.now();
    const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'] });
    let output = '';
    child.stdout.on('data', (piece) => (output += piece));
    child.stderr.on('data', (piece) => (output += piece));
    child.on('close', (code) => {
      console.log(`${code === 0 ? 'ok  ' : 'FAIL'} ${what} (${Math.round((performance.now() - begin) / 1000)} s)`);
      if (code !== 0) console.log(output);
      done(code === 0);
    });
  });
}

const checks = [
  await run('format', bin('prettier'), ['--check', '.', '--log-level', 'warn']),
  ...(await Promise.all([run('lint', bin('eslint'), ['.', '--max-warnings', '0']), types()])),
];

async function types() {
  const core = await run('types of core', bin('tsc'), ['-p', 'packages/core']);
  const node = await run('types of the rest', bin('tsc'), ['-p', 'tsconfig.node.json']);
  const web = await run('types of the editor', bin('vue-tsc'), ['-p', 'packages/web']);
  return core && node && web;
}

const report = 'build/test-report.json';
const tests = spawn(bin('vitest'), ['run', '--reporter=default', '--reporter=json', `--outputFile.json=${report}`], {
  stdio: ['ignore', 'inherit', 'inherit'],
});
const code = await new Promise((done) => tests.on('close', done));
const { numPassedTests, numFailedTests, numPendingTests } = JSON.parse(await readFile(report, 'utf8'));
const isGreen = code === 0 && checks.every(Boolean);
if (!isGreen) process.exitCode = 1;
const skipped = numPendingTests > 0 ? `, ${numPendingTests} skipped` : '';
if (!checks.every(Boolean)) console.log('Formatting, lint or types are not as they should be: see above.');
console.log(`${numPassedTests} passed, ${numFailedTests} failed${skipped}`);
