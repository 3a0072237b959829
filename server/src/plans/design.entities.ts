import type { BrightSide } from '@bright-sprout/core/design';
import type { VariableKind } from '@bright-sprout/core/imports';
import { Column, Entity, Index, JoinColumn, ManyToOne, PrimaryColumn, type Relation, Unique } from 'typeorm';
import { Team } from '../classes/index.ts';
import { Experiment } from './experiment.entity.ts';

/** What is changed on purpose. */
@Entity('factor')
@Unique('uq_factor_position', ['experimentId', 'position'])
export class Factor {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_factor_experiment' })
  experiment: Relation<Experiment>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 60 })
  name: string;
}

/** One setting of a factor. */
@Entity('level')
@Unique('uq_level_position', ['factorId', 'position'])
export class Level {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  factorId: string;

  @ManyToOne(() => Factor, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'factor_id', foreignKeyConstraintName: 'fk_level_factor' })
  factor: Relation<Factor>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 60 })
  name: string;
}

/** One combination of levels. */
@Entity('treatment')
@Unique('uq_treatment_position', ['experimentId', 'position'])
export class Treatment {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_treatment_experiment' })
  experiment: Relation<Experiment>;

  /** Order in the plan; also its colour and mark. */
  @Column('int')
  position: number;

  @Column('varchar', { length: 4 })
  code: string;

  @Column('varchar', { length: 120 })
  name: string;

  @Column('boolean', { default: false })
  isControl: boolean;
}

/** A level that belongs to a treatment. */
@Entity('treatment_level')
export class TreatmentLevel {
  @PrimaryColumn('uuid')
  treatmentId: string;

  @ManyToOne(() => Treatment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'treatment_id', foreignKeyConstraintName: 'fk_treatment_level_treatment' })
  treatment: Relation<Treatment>;

  @Index('ix_treatment_level_level')
  @PrimaryColumn('uuid')
  levelId: string;

  @ManyToOne(() => Level, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'level_id', foreignKeyConstraintName: 'fk_treatment_level_level' })
  level: Relation<Level>;
}

/** A grid of places. */
@Entity('container')
@Unique('uq_container_position', ['experimentId', 'position'])
export class Container {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_container_experiment' })
  experiment: Relation<Experiment>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 30 })
  kind: string;

  @Column('int')
  gridRows: number;

  @Column('int')
  gridColumns: number;

  @Column('varchar', { length: 40, default: '' })
  name: string;

  @Column('varchar', { length: 6, default: 'top' })
  brightSide: BrightSide;
}

/** The experimental unit: one pot, cell or bag in its place. */
@Entity('unit')
@Unique('uq_unit_number', ['experimentId', 'number'])
@Unique('uq_unit_place', ['containerId', 'placeRow', 'placeColumn'])
export class Unit {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_unit_experiment' })
  experiment: Relation<Experiment>;

  @Column('int')
  number: number;

  @Column('uuid')
  containerId: string;

  @ManyToOne(() => Container, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'container_id', foreignKeyConstraintName: 'fk_unit_container' })
  container: Relation<Container>;

  @Column('int')
  placeRow: number;

  @Column('int')
  placeColumn: number;

  @Index('ix_unit_treatment')
  @Column('uuid')
  treatmentId: string;

  @ManyToOne(() => Treatment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'treatment_id', foreignKeyConstraintName: 'fk_unit_treatment' })
  treatment: Relation<Treatment>;

  @Column('int')
  replicate: number;

  @Column('varchar', { length: 40, default: '' })
  block: string;

  @Column('varchar', { length: 60, default: '' })
  team: string;

  @Index('ix_unit_team')
  @Column('uuid', { nullable: true })
  teamId: string | null;

  @ManyToOne(() => Team, { onDelete: 'SET NULL' })
  @JoinColumn({ name: 'team_id', foreignKeyConstraintName: 'fk_unit_team' })
  ownerTeam: Relation<Team> | null;

  /** The day the plan has for it. */
  @Column('date', { nullable: true })
  sowOn: string | null;

  @Column('date', { nullable: true })
  sownOn: string | null;

  @Column('int', { nullable: true })
  seedsSown: number | null;

  /** What was different when it was sown. */
  @Column('varchar', { length: 300, default: '' })
  sowingNote: string;
}

/** Something that is read on each unit. */
@Entity('variable')
@Unique('uq_variable_position', ['experimentId', 'position'])
export class Variable {
  @PrimaryColumn('uuid')
  id: string;

  @Column('uuid')
  experimentId: string;

  @ManyToOne(() => Experiment, { onDelete: 'CASCADE' })
  @JoinColumn({ name: 'experiment_id', foreignKeyConstraintName: 'fk_variable_experiment' })
  experiment: Relation<Experiment>;

  @Column('int')
  position: number;

  @Column('varchar', { length: 60 })
  name: string;

  @Column('varchar', { length: 10 })
  kind: VariableKind;

  @Column('varchar', { length: 20 })
  unit: string;

  @Column('double')
  step: number;
}
