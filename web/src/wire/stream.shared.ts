import { openStream, type Passed } from './stream.js';

/** Holds the one stream for all windows. A window that comes later hears first how things stand. */
const ports: MessagePort[] = [];
let way: Passed | null = null;
let hello: Passed | null = null;

openStream((says) => {
  if (says.of === 'way') way = says;
  if (says.of === 'sledge') {
    hello = says;
    way = null;
  }
  for (const port of ports) port.postMessage(says);
});

addEventListener('connect', (event) => {
  const [port] = (event as MessageEvent).ports;
  if (!port) return;
  ports.push(port);
  port.start();
  for (const says of [hello, way]) if (says !== null) port.postMessage(says);
});
