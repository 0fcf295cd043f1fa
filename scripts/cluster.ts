import { DEMO_SIGN_INS } from '../server/demo/people.ts';
import { ClusterInstallation } from './lib/clusterInstallation.ts';
import { leaveWith, say } from './lib/report.ts';

/** `npm run cluster`: three MariaDB nodes, two servers and a proxy on loopback with the demo club, to try what happens. */
try {
  say('Three database nodes, two servers and a proxy: this takes a minute');
  const installation = await ClusterInstallation.start();
  console.log(`\nThe cluster is ready: ${installation.url}`);
  for (const { name, email, password } of DEMO_SIGN_INS) console.log(`  ${name}: ${email} / ${password}`);
  console.log('\nCtrl-C stops it; nothing of it is kept.');
  const stop = () => void installation.stop().then(() => process.exit(0));
  process.once('SIGINT', stop);
  process.once('SIGTERM', stop);
} catch (error) {
  leaveWith(error);
}
