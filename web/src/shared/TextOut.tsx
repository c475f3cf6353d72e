import {
  mdiContentCopy,
  mdiImageOutline,
  mdiPrinterOutline,
  mdiShareVariantOutline,
  mdiTrayArrowDown,
} from '@mdi/js';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';
import { role } from '../theme/theme.ts';
import { say } from '../words/say.ts';
import { copyText } from './copyText.ts';
import { Fold } from './Fold.tsx';
import { Icon } from './Icon.tsx';
import type { SheetPlace } from './Sheet.tsx';
import { saveText } from './saveText.ts';
import { canShare, shareText } from './share.ts';
import { Panel } from './ui.tsx';
import { usePrint } from './usePrint.ts';
import { useSheetPicture } from './useSheetPicture.ts';

/** A recipe or a batch as plain text: shown, and to copy, save or print. Further ways out stand beside them. */
export function TextOut(props: {
  title: string;
  /** What it is called in a sentence: "The recipe". */
  what: string;
  fileName: string;
  text: string | null;
  /** What is printed in the place of the page, and saved as a picture: a sheet of its own. */
  sheet?: (place: SheetPlace) => ReactNode;
  children?: ReactNode;
}) {
  const { title, what, fileName, text } = props;
  const { printing, print } = usePrint();
  const picture = useSheetPicture(fileName.replace(/\.txt$/, '.png'));
  return (
    <Panel title={title}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiContentCopy} />}
          disabled={!text}
          onClick={() => void copyText(text ?? '', say('textOut.isCopiedAsText', { what }))}
        >
          {say('textOut.copyAsText')}
        </Button>
        {canShare() && (
          <Button
            variant="outlined"
            startIcon={<Icon path={mdiShareVariantOutline} />}
            disabled={!text}
            onClick={() => void shareText(title, text ?? '', say('textOut.isCopiedAsText', { what }))}
          >
            {say('textOut.share')}
          </Button>
        )}
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiTrayArrowDown} />}
          disabled={!text}
          onClick={() => saveText(fileName, text ?? '', 'text/plain')}
        >
          {say('textOut.saveAsText')}
        </Button>
        <Button
          variant="outlined"
          startIcon={<Icon path={mdiPrinterOutline} />}
          disabled={!text}
          onClick={props.sheet ? print : () => window.print()}
        >
          {say('common.print')}
        </Button>
        {props.sheet && (
          <Button
            variant="outlined"
            startIcon={<Icon path={mdiImageOutline} />}
            disabled={picture.drawing}
            onClick={() => void picture.save()}
          >
            {say('textOut.saveAsPicture')}
          </Button>
        )}
        {props.children}
      </Box>
      {printing && props.sheet?.({ picture: false })}
      {picture.drawing && props.sheet?.({ picture: true, ref: picture.ref })}
      {text && (
        <Fold summary={say('textOut.see')} testId="as-text">
          <Box
            component="pre"
            data-testid="recipe-text"
            sx={{
              whiteSpace: 'pre-wrap',
              fontFamily: 'inherit',
              fontSize: '0.9rem',
              color: role('inkMuted'),
              maxHeight: 220,
              overflow: 'auto',
              mt: 1.5,
              mb: 0,
              '@media print': { maxHeight: 'none' },
            }}
            tabIndex={0}
            role="region"
            aria-label={say('textOut.asText', { what })}
          >
            {text}
          </Box>
        </Fold>
      )}
    </Panel>
  );
}
