import { useMemo, useState } from 'react';
import { Command } from 'cmdk';
import type { MemberLedger, Takedown } from '@plinth/core';
import { Dialog } from 'radix-ui';
import { useNavigate, useParams } from 'react-router';
import { useProject, useView } from '../project/context';
import { toggleTheme } from './theme';
import { ROOMS } from './rooms';

export interface PaletteProps {
  readonly open: boolean;
  readonly setOpen: (open: boolean) => void;
  readonly step: (mode: 'undo' | 'redo') => void;
}

/** Find a member or do something, by typing. */
export function Palette({ open, setOpen, step }: PaletteProps) {
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/20" />
        <Dialog.Content
          className="fixed top-[12%] left-1/2 z-50 w-[520px] -translate-x-1/2 border border-faint bg-panel shadow-lg"
          aria-describedby={undefined}
        >
          <Dialog.Title className="sr-only">Find or do</Dialog.Title>
          <Choices setOpen={setOpen} step={step} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** So many members are offered at once: of more, one types on. */
const OFFERED = 40;

/** What can be chosen; it is there only while the palette is open. */
function Choices({ setOpen, step }: Omit<PaletteProps, 'open'>) {
  const { building, computed } = useProject();
  const { select } = useView();
  const [typed, setTyped] = useState('');
  const { project } = useParams();
  const navigate = useNavigate();
  const run = (action: () => void) => () => {
    setOpen(false);
    action();
  };
  const members = useMemo(() => offered(computed.takedown, typed.trim().toLowerCase()), [computed.takedown, typed]);
  const group = '[&_[cmdk-group-heading]]:label [&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pt-2';
  const entry = 'cursor-pointer px-3 py-1 data-[selected=true]:bg-oxidewash data-[selected=true]:text-oxide';
  return (
    <Command label="Find or do" loop>
      <Command.Input
        placeholder="A mark, a room, or what to do"
        value={typed}
        onValueChange={setTyped}
        className="w-full border-b border-rule bg-transparent px-3 py-2 text-base outline-none"
      />
      <Command.List className="max-h-[360px] overflow-y-auto pb-2">
        <Command.Empty className="px-3 py-3 text-soft">Nothing of that name.</Command.Empty>
        <Command.Group heading="Rooms" className={group}>
          {ROOMS.map((room) => (
            <Command.Item key={room.path} className={entry} onSelect={run(() => void navigate(`/projects/${project}/${room.path}`))}>
              {room.name}
            </Command.Item>
          ))}
          <Command.Item className={entry} onSelect={run(() => void navigate('/bench'))}>
            Bench
          </Command.Item>
        </Command.Group>
        <Command.Group heading="Members" className={group}>
          {members.map((member) => (
            <Command.Item key={member.id} value={`${member.mark} ${member.kind}`} className={entry} onSelect={run(() => select(member.id))}>
              {member.mark} <span className="text-soft">{member.kind}</span>{' '}
              <span className="text-soft">{building.beams.get(member.id)?.section ?? building.columns.get(member.id)?.section ?? ''}</span>
            </Command.Item>
          ))}
        </Command.Group>
        <Command.Group heading="Do" className={group}>
          <Command.Item className={entry} onSelect={run(() => step('undo'))}>
            Undo my last change
          </Command.Item>
          <Command.Item className={entry} onSelect={run(() => step('redo'))}>
            Redo
          </Command.Item>
          <Command.Item className={entry} onSelect={run(toggleTheme)}>
            Change between light and dark
          </Command.Item>
          <Command.Item className={entry} onSelect={run(() => window.location.assign(`/api/projects/${project}/export`))}>
            Save as a project file
          </Command.Item>
          <Command.Item className={entry} onSelect={run(() => void navigate('/'))}>
            Go to the projects
          </Command.Item>
        </Command.Group>
      </Command.List>
    </Command>
  );
}

/** The members whose mark or kind has what was typed; those whose mark begins with it first. */
function offered({ order, members }: Pick<Takedown, 'order' | 'members'>, typed: string): MemberLedger[] {
  const first: MemberLedger[] = [];
  const others: MemberLedger[] = [];
  for (const id of order) {
    const member = members.get(id)!;
    if (member.mark.toLowerCase().startsWith(typed)) first.push(member);
    else if (others.length < OFFERED && `${member.mark} ${member.kind}`.toLowerCase().includes(typed)) others.push(member);
    if (first.length >= OFFERED) break;
  }
  return [...first, ...others].slice(0, OFFERED);
}
