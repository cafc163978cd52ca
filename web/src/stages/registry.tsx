import type { ComponentType } from 'react';
import { STAGE_NAMES, type StageName } from '@sill/core';
import { BriefStage } from './brief/BriefStage';
import { BuildStage } from './build/BuildStage';
import { CutsStage } from './cuts/CutsStage';
import { DaysStage } from './days/DaysStage';
import { FinishStage } from './finish/FinishStage';
import { JointsStage } from './joints/JointsStage';
import { LogStage } from './log/LogStage';
import { PartsStage } from './parts/PartsStage';
import { ShapeStage } from './shape/ShapeStage';
import { StockStage } from './stock/StockStage';

type Stage = {
  readonly label: string;
  /** What the sill's button says here: it settles the stage and goes on. */
  readonly next: string;
  readonly Screen: ComponentType;
};

const OF: Readonly<Record<StageName, Stage>> = {
  brief: { label: 'Brief', next: 'Settle the brief', Screen: BriefStage },
  shape: { label: 'Shape', next: 'Settle the shape', Screen: ShapeStage },
  parts: { label: 'Parts', next: 'Settle the parts', Screen: PartsStage },
  stock: { label: 'Stock', next: 'Settle the list', Screen: StockStage },
  cuts: { label: 'Cuts', next: 'Settle the cuts', Screen: CutsStage },
  joints: { label: 'Joints', next: 'Settle the joints', Screen: JointsStage },
  build: { label: 'Build', next: 'Settle the build', Screen: BuildStage },
  finish: { label: 'Finish', next: 'Settle the finish', Screen: FinishStage },
  days: { label: 'Days', next: 'Settle the days', Screen: DaysStage },
  log: { label: 'Log', next: 'Print the build record', Screen: LogStage },
};

/** The stages in the order people work: the stick, the keys from 1, the addresses and the sill's button follow it. */
export const STAGES = STAGE_NAMES.map((name) => ({ name, ...OF[name] }));

export const stageOf = (name: string | undefined) => STAGES.find((stage) => stage.name === name);
