/** The page of a device that was not let in yet. It knows nothing of the rest of Sledge, and loads none of it. */

const WAITS = 429;

const found = <T extends Element>(selector: string, type: new () => T): T => {
  const element = document.querySelector(selector);
  if (!(element instanceof type)) throw new TypeError(`${selector} is not on the page`);
  return element;
};

const form = found('form', HTMLFormElement);
const words = found('#words', HTMLTextAreaElement);
const named = found('#name', HTMLInputElement);
const button = found('button', HTMLButtonElement);
const said = found('[role=alert]', HTMLElement);

/** A photographed code carries its words behind the #, where no server is told of them. */
function takeFromAddress(): void {
  const code = decodeURIComponent(window.location.hash.slice(1));
  if (code === '') return;
  words.value = code.replaceAll('-', ' ');
  history.replaceState(null, '', window.location.pathname);
}

const deviceWord = (): string => (Math.min(screen.width, screen.height) < 600 ? 'Phone' : 'Tablet');

async function sentenceOf(answer: Response): Promise<string> {
  const problem = (await answer.json().catch(() => null)) as { detail?: unknown } | null;
  return typeof problem?.detail === 'string' ? problem.detail : 'Sledge did not understand. Try it again.';
}

async function ask(): Promise<string | null> {
  try {
    const answer = await fetch('/api/network/in', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ words: words.value, name: named.value }),
    });
    if (answer.ok) return null;
    const sentence = await sentenceOf(answer);
    return answer.status === WAITS ? `${sentence} What you typed stays here.` : sentence;
  } catch {
    return 'Sledge does not answer. Is this device on the same network?';
  }
}

async function letIn(): Promise<void> {
  button.disabled = true;
  said.textContent = '';
  const wrong = await ask();
  button.disabled = false;
  if (wrong === null) {
    const { pathname } = window.location;
    window.location.replace(pathname === '/' || pathname === '/in' ? '/bench' : pathname);
    return;
  }
  said.textContent = wrong;
  words.focus();
}

form.addEventListener('submit', (event) => {
  event.preventDefault();
  void letIn();
});
named.value = deviceWord();
takeFromAddress();
if (words.value === '') words.focus();
else button.focus();
