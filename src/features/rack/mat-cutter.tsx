'use client';
/** The simulated mat cutter: takes the file of a mat, or another, refuses what it cannot cut, and plays the cuts. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { MatJobView, RackView } from '@/contract/views';
import { lengthOf } from '@/core/cutting/plan-figures';
import { type Issue, issue } from '@/core/issue';
import { Choice } from '@/ui/choice';
import { Len } from '@/ui/figures';
import { FileButton } from '@/ui/file-button';
import { ask } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import { dayName } from '@/words/materials';
import { CUTTER } from '@/words/screens/rack';
import { Bed } from './mat-bed';
import { type Cut, type Play, type Player, SPEEDS, clock, usePlayer } from './mat-play';
import { RackPlaces, useRack } from './rack-places';
import styles from './rack.module.css';

function Waiting({ list, onCut }: { list: readonly MatJobView[]; onCut: (ticket: string, mat: number) => void }) {
  return (
    <section className={styles.jobs}>
      <h2>{CUTTER.waiting}</h2>
      <ul>
        {list.map((job) => (
          <li key={job.ticket} className={styles.matJob}>
            <span>
              <b>{job.ticket}</b> {job.title}
              <span className={styles.needs}>{CUTTER.state(job, dayName(job.promised))}</span>
            </span>
            {Array.from({ length: job.mats }, (_, index) => (
              <span key={index} className={styles.matActs}>
                <Button variant="text" onClick={() => onCut(job.ticket, index + 1)}>
                  {CUTTER.cut(index + 1)}
                </Button>
                <Button variant="text" href={`/api/v1/mats/${job.ticket}/${index + 1}.dxf`}>
                  {CUTTER.dxf}
                </Button>
                <Button variant="text" href={`/api/v1/mats/${job.ticket}/${index + 1}.svg`}>
                  {CUTTER.svg}
                </Button>
              </span>
            ))}
          </li>
        ))}
        {list.length === 0 && <li className="soft">{CUTTER.none}</li>}
      </ul>
    </section>
  );
}

const stateOf = (cut: Cut, now: number) => (now >= cut.ends ? 'done' : now >= cut.starts ? 'doing' : 'todo');

function CutList({ play, name, player }: { play: Play; name: string; player: Player }) {
  const { now, running, over } = player;
  const cutting = play.cuts.reduce((sum, cut) => sum + Math.round(cut.ends - cut.starts), 0);
  return (
    <div className={styles.cutList}>
      <h2>{name}</h2>
      <p className={styles.clock}>
        {clock(now)} <span className="soft">{CUTTER.of(clock(play.seconds))}</span>
      </p>
      <ol>
        {play.cuts.map((cut, index) => (
          <li key={index} data-state={stateOf(cut, now)}>
            <span>{CUTTER.layers[cut.layer]}</span>
            <Len value={lengthOf(cut.length)} />
            <span className="num">{clock(cut.ends - cut.starts)}</span>
          </li>
        ))}
        <li>
          <span>{CUTTER.between}</span>
          <span />
          <span className="num">{clock(play.seconds - cutting)}</span>
        </li>
        <li className={styles.total}>
          <span>{CUTTER.all}</span>
          <Len value={lengthOf(play.length)} />
          <span className="num">{clock(play.seconds)}</span>
        </li>
      </ol>
      <div>
        <p className="soft">{CUTTER.played}</p>
        <Choice
          label={CUTTER.played}
          value={player.speed}
          options={SPEEDS.map((speed) => [speed, CUTTER.speeds[speed]] as const)}
          onChange={player.setSpeed}
        />
      </div>
      <div className={styles.buttons}>
        <Button variant="contained" onClick={player.toggle}>
          {over ? CUTTER.again : running ? CUTTER.pause : CUTTER.goOn}
        </Button>
      </div>
      <Note tone="advise">
        <p>{CUTTER.caution}</p>
      </Note>
    </div>
  );
}

export function MatCutter({ first }: { first: RackView }) {
  const { rack } = useRack(first);
  const [play, setPlay] = useState<Play>();
  const [name, setName] = useState('');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const player = usePlayer(play);

  const give = async (text: string, called: string) => {
    const answer = await ask<Play>('/api/mat-cutter', {
      method: 'POST',
      headers: { 'x-lopren-upload': 'dxf' },
      body: text,
    });
    setPlay(answer.ok ? answer.value : undefined);
    setIssues(answer.ok ? [] : answer.issues);
    setName(called);
    player.begin(answer.ok);
  };
  const cutMat = async (ticket: string, mat: number) => {
    const response = await fetch(`/api/v1/mats/${ticket}/${mat}.dxf`);
    if (response.ok) return give(await response.text(), CUTTER.matName(ticket, mat));
    const body = (await response.json().catch(() => ({}))) as { issues?: Issue[] };
    setIssues(body.issues ?? [issue('fault')]);
  };
  return (
    <main className={styles.rack}>
      <h1 className="sr">{CUTTER.head}</h1>
      <RackPlaces />
      <div className={styles.planColumns}>
        <aside>
          <div className={styles.scroll} tabIndex={0} role="group" aria-label={CUTTER.waiting}>
            <Waiting list={rack.mats} onCut={(ticket, mat) => void cutMat(ticket, mat)} />
          </div>
          <div className={styles.go}>
            <FileButton
              label={CUTTER.file}
              accept=".dxf"
              wide
              onFile={(file) => void file.text().then((text) => give(text, file.name))}
            >
              {CUTTER.otherFile}
            </FileButton>
          </div>
        </aside>
        <div className={styles.result}>
          {issues.length > 0 && (
            <div className={styles.refused}>
              <h2>{CUTTER.refuses(name)}</h2>
              <Trouble issues={issues} />
            </div>
          )}
          {!play && issues.length === 0 && <p className={styles.empty}>{CUTTER.empty}</p>}
          {play && (
            <div className={styles.cutting}>
              <Bed play={play} now={player.now} />
              <CutList play={play} name={name} player={player} />
            </div>
          )}
        </div>
      </div>
    </main>
  );
}
