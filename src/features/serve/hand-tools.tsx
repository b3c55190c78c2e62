import { keysOf } from '@/core/keys-of';
import { Button } from '@/ui/button';
import type { useOwnPlate } from './use-own-plate';
import type { PlateTool } from './use-plate-hand';

const TOOL_WORDS: Readonly<Record<PlateTool, string>> = { dot: 'Dots', pick: 'Pick' };

/** What draws by hand, and how it is taken back. */
export function HandTools({
  tool,
  onTool,
  mine,
}: {
  tool: PlateTool;
  onTool: (tool: PlateTool) => void;
  mine: ReturnType<typeof useOwnPlate>;
}) {
  return (
    <fieldset aria-label="Draw with" className="flex flex-wrap items-center gap-2">
      {keysOf(TOOL_WORDS).map((each) => (
        <Button
          key={each}
          aria-pressed={tool === each}
          look={tool === each ? 'primary' : 'quiet'}
          onClick={() => onTool(each)}
        >
          {TOOL_WORDS[each]}
        </Button>
      ))}
      <Button look="bare" disabled={mine.isEmpty} onClick={mine.undo}>
        Undo
      </Button>
      <Button look="bare" disabled={mine.isEmpty} onClick={mine.clear}>
        Clear the plate
      </Button>
      <p className="w-full text-[13.5px] text-mute">
        Tap for a dot, or drag the pick through. By keys: arrows move, Enter drops a dot. Space sets the pick down and
        lifts it.
      </p>
    </fieldset>
  );
}
