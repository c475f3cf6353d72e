import '../words/places/pages.ts';
import { ROUTES } from '@big-ladle/core/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { say } from '../words/say.ts';
import { ApiError, ask } from './api.ts';
import { flush } from './outbox.ts';
import { usePairing } from './Pairing.tsx';
import { queryClient } from './queries.ts';
import { PageHead, Panel } from './ui.tsx';

/** The code in the address that a photographed code has opened. */
const fromAddress = (): string => /^#code=(\d{6})$/.exec(window.location.hash)?.[1] ?? '';

/** Asks for the code of the first screen, and for a name. */
export function EnterCode() {
  const [code, setCode] = useState(fromAddress);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const letIn = async () => {
    try {
      await ask(ROUTES.pair, { body: { code, name: name.trim() || say('enterCode.aDevice') } });
      window.history.replaceState(null, '', window.location.pathname + window.location.search);
      usePairing.setState({ wanted: false });
      await queryClient.resetQueries();
      await flush();
    } catch (error) {
      setProblem(error instanceof ApiError ? error.detail : say('common.theKitchenServerDoes'));
    }
  };
  return (
    <Box component="main" sx={{ p: 3, maxWidth: 460, mx: 'auto' }}>
      <PageHead title={say('enterCode.comeIntoTheKitchen')} />
      <Panel>
        <Box
          component="form"
          sx={{ display: 'grid', gap: 2 }}
          onSubmit={(event: React.FormEvent) => {
            event.preventDefault();
            void letIn();
          }}
        >
          <Box>{say('enterCode.onTheMachineThat')}</Box>
          <TextField
            label={say('enterCode.codeOfSixFigures')}
            value={code}
            onChange={(e) => setCode(e.target.value.replace(/\D/g, '').slice(0, 6))}
            slotProps={{ htmlInput: { inputMode: 'numeric', autoComplete: 'one-time-code' } }}
            error={problem !== null}
            helperText={problem ?? undefined}
          />
          <TextField
            label={say('enterCode.whatToCallThis')}
            placeholder={say('enterCode.phoneOnTheTiles')}
            value={name}
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 40 } }}
          />
          <Button type="submit" variant="contained" disabled={code.length !== 6} sx={{ minHeight: 56 }}>
            {say('enterCode.letMeIn')}
          </Button>
        </Box>
      </Panel>
    </Box>
  );
}
