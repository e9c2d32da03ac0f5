import { createConnection } from 'mysql2/promise';
import {readFileSync} from 'node:fs';
import {spawn} from 'node:child_process';
const url=readFileSync('/tmp/tdb.url','utf8').trim();
const c=await createConnection({uri:url,multipleStatements:true});
await c.query('DROP DATABASE IF EXISTS estribo_prof; CREATE DATABASE estribo_prof CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci');
const t=Date.now();
const child=spawn(process.execPath,['--cpu-prof','--cpu-prof-dir=/tmp/x/prof','dist/main.mjs'],{env:{...process.env,ESTRIBO_DATABASE_URL:url.replace(/\/[^/]*$/,'/estribo_prof'),ESTRIBO_SEAL_FOLDER:'/tmp/x/seal',ESTRIBO_DEMO:'1',ESTRIBO_PORT:'18999',ESTRIBO_WEB_ROOT:'/work/main/web/dist',ESTRIBO_SESSION_SECRET:'only for tests',ESTRIBO_LOG:'error'},stdio:'inherit'});
for(;;){ const ok=await fetch('http://127.0.0.1:18999/api/health').then(r=>r.ok,()=>false); if(ok)break; await new Promise(r=>setTimeout(r,50)); }
console.log('load ms',Date.now()-t);
const [[n]]=await c.query('select count(*) n from estribo_prof.entry').catch(async()=>c.query('show tables from estribo_prof')); console.log(n);
child.kill('SIGTERM'); await new Promise(r=>child.on('exit',r));
const t2=Date.now();
const child2=spawn(process.execPath,['dist/main.mjs'],{env:{...process.env,ESTRIBO_DATABASE_URL:url.replace(/\/[^/]*$/,'/estribo_prof'),ESTRIBO_SEAL_FOLDER:'/tmp/x/seal',ESTRIBO_DEMO:'1',ESTRIBO_PORT:'18999',ESTRIBO_WEB_ROOT:'/work/main/web/dist',ESTRIBO_SESSION_SECRET:'only for tests',ESTRIBO_LOG:'error'},stdio:'inherit'});
for(;;){ const ok=await fetch('http://127.0.0.1:18999/api/health').then(r=>r.ok,()=>false); if(ok)break; await new Promise(r=>setTimeout(r,50)); }
console.log('restart ms',Date.now()-t2); child2.kill('SIGTERM'); await new Promise(r=>child2.on('exit',r));
await c.end();
