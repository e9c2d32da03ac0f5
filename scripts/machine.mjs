import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { delimiter, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { step, Stop } from './steps.mjs';

// a path, not the address of one: a folder's name may hold a space
export const root = fileURLToPath(new URL('..', import.meta.url)).replace(/\/$/, '');
export const workplace = join(root, '.estribo');

const hasProgram = (name) =>
  [...(process.env.PATH ?? '').split(delimiter), '/usr/sbin', '/usr/bin'].some((folder) => {
    try {
      accessSync(join(folder, name), constants.X_OK);
      return true;
    } catch {
      return false;
    }
  });

export function checkNode() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20)
    throw new Stop(
      `Estribo needs Node 20 or newer; this is ${process.version}. Install Node 20, then start again.`,
    );
}

/**
 * Only one start at a time works in this folder: database and packages are shared.
 * @throws Stop when another one is running
 */
export function onlyOne() {
  mkdirSync(workplace, { recursive: true });
  const file = join(workplace, 'running');
  const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
  const command =
    pid > 0 && existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
  if (pid !== process.pid && /scripts\/(demo|dev|start|rebuild|verify|backup|restore)\.mjs/.test(command))
    throw new Stop(
      `Estribo is running in this folder already (process ${pid}). Stop it with Ctrl-C or "kill ${pid}", then start again.`,
    );
  writeFileSync(file, String(process.pid));
  process.once('exit', () => rmSync(file, { force: true }));
}

/** Installs Debian packages that are missing, without leaving a service running. */
export async function debianPackages(wanted) {
  const missing = wanted.filter(({ program }) => !hasProgram(program)).map(({ name }) => name);
  if (missing.length === 0) return;
  const list = missing.join(' ');
  await step(`installing ${list} from Debian's packages`, () => {
    if (process.getuid?.() !== 0)
      throw new Stop(
        `Missing: ${list}. Only root may install it: run "sudo apt-get install ${list}", then start again.`,
      );
    if (!hasProgram('apt-get'))
      throw new Stop(
        `Missing: ${list}, and this system has no apt-get. Install it by hand, then start again.`,
      );
    const policy = '/usr/sbin/policy-rc.d';
    const ours = !existsSync(policy);
    // Debian asks this file whether a package may start its service: not now
    if (ours) writeFileSync(policy, '#!/bin/sh\nexit 101\n', { mode: 0o755 });
    try {
      const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
      const install = () =>
        spawnSync('apt-get', ['install', '-y', '--no-install-recommends', ...missing], {
          env,
          encoding: 'utf8',
        });
      let done = install();
      if (done.status !== 0) {
        spawnSync('apt-get', ['update'], { env });
        done = install();
      }
      if (done.status !== 0)
        throw new Stop(
          `apt-get could not install ${list}: ${done.stderr.trim().split('\n').at(-1)}. Check the network and the disk, then start again.`,
        );
    } finally {
      if (ours) rmSync(policy, { force: true });
    }
  });
}

/**
 * A program that the system ends when the one that starts it is gone, however it went: nothing is left running.
 * @returns the program and its arguments, as they are to be started
 */
export const endsWithParent = (program, args) =>
  hasProgram('setpriv') ? ['setpriv', ['--pdeathsig', 'TERM', '--', program, ...args]] : [program, args];

/** Whether what is installed is what the lock file asks for: "npm ci" by hand is not done again. */
function isInstalled() {
  const read = (file) => JSON.parse(readFileSync(join(root, file), 'utf8')).packages;
  const there = join('node_modules', '.package-lock.json');
  if (!existsSync(join(root, there))) return false;
  const [wanted, installed] = [read('package-lock.json'), read(there)];
  return Object.entries(wanted).every(
    ([path, { version, link, optional, devOptional }]) =>
      !path.startsWith('node_modules/') ||
      link ||
      (installed[path] ? installed[path].version === version : optional || devOptional),
  );
}

/** Installs the registry's packages when the lock file has changed since the last time. */
export async function npmPackages() {
  mkdirSync(workplace, { recursive: true });
  const stamp = join(workplace, 'installed');
  const hash = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const present = existsSync(join(root, 'node_modules', '.package-lock.json'));
  if (present && existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  if (isInstalled()) return writeFileSync(stamp, hash);
  await step('installing packages from the registry (npm ci)', () => {
    const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
      cwd: root,
      env: { ...process.env, PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1' },
      encoding: 'utf8',
    });
    if (done.status !== 0) {
      const said = `${done.stdout}${done.stderr}`;
      if (said.includes('ENOSPC'))
        throw new Stop('The disk is full. Free at least 1 GB where this folder lies, then start again.');
      throw new Stop(
        `npm ci failed:\n${said.trim().split('\n').slice(-6).join('\n')}\nCheck the network, then start again.`,
      );
    }
    writeFileSync(stamp, hash);
  });
}

/** The newest change among the files the build is made from. */
function newestSource() {
  let newest = 0;
  const walk = (folder) => {
    for (const entry of readdirSync(folder, { withFileTypes: true })) {
      if (entry.name === 'node_modules' || entry.name === 'dist') continue;
      const path = join(folder, entry.name);
      if (entry.isDirectory()) walk(path);
      else newest = Math.max(newest, statSync(path).mtimeMs);
    }
  };
  for (const folder of ['core', 'server', 'web']) walk(join(root, folder));
  return Math.max(newest, statSync(join(root, 'package-lock.json')).mtimeMs);
}

/** Builds interface and server when a source is newer than the last build. */
export async function built() {
  const stamp = join(workplace, 'built');
  const newest = String(newestSource());
  const there = ['web/dist/index.html', 'server/dist/main.mjs'].every((file) => existsSync(join(root, file)));
  if (there && existsSync(stamp) && readFileSync(stamp, 'utf8') === newest) return;
  await step('building the interface and the server', () => {
    const done = spawnSync('npm', ['run', 'build', '--silent'], { cwd: root, encoding: 'utf8' });
    if (done.status !== 0)
      throw new Stop(
        `The build failed:\n${`${done.stdout}${done.stderr}`.trim().split('\n').slice(-15).join('\n')}`,
      );
    mkdirSync(workplace, { recursive: true });
    writeFileSync(stamp, newest);
  });
}

export const mariadb = { name: 'mariadb-server', program: 'mariadbd' };
export const chromium = { name: 'chromium', program: 'chromium' };
