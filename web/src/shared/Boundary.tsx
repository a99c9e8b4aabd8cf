import { Component, type ReactNode } from 'react';
import { exportWork } from '../store/export.ts';
import { Happened } from './Happened.tsx';
import { COLOURS } from '@ample/core/out';

interface Props {
  readonly where: string;
  readonly children: ReactNode;
}

/** Keeps a fault in one station from taking the work with it. */
export class Boundary extends Component<Props, { readonly fault: Error | null }> {
  override state: { readonly fault: Error | null } = { fault: null };

  static getDerivedStateFromError(error: unknown) {
    return { fault: error instanceof Error ? error : new Error(String(error)) };
  }

  override render() {
    if (this.state.fault === null) return this.props.children;
    return (
      <div role="alert" className="m-6 max-w-[60ch] border-l-4 border-pencil bg-white p-4">
        <h2>{this.props.where} could not be shown</h2>
        <p className="my-2">
          Your work is safe. Show it again, or undo the last change first; every other station still works.
        </p>
        <p className="mb-3 text-sm text-quiet">{this.state.fault.message}</p>
        <div className="flex gap-2">
          <button className="btn" onClick={() => this.setState({ fault: null })}>
            Show again
          </button>
          <button className="btn" onClick={exportWork}>
            Export to a file
          </button>
        </div>
        <Happened error={this.state.fault} where={this.props.where} />
      </div>
    );
  }
}

interface PieceProps {
  readonly name: string;
  /** Changes when the piece does: a new draft is tried again by itself. */
  readonly of: unknown;
  readonly children: ReactNode;
}

/** Keeps a fault in one piece from taking the others off the mat. */
export class PieceBoundary extends Component<PieceProps, { readonly failed: boolean }> {
  override state: { readonly failed: boolean } = { failed: false };

  static getDerivedStateFromError() {
    return { failed: true };
  }

  override componentDidUpdate(before: PieceProps) {
    if (this.state.failed && before.of !== this.props.of) this.setState({ failed: false });
  }

  override render() {
    if (!this.state.failed) return this.props.children;
    return (
      <text x="40" y="60" fontSize="16" fill={COLOURS.white} role="alert">
        {this.props.name} cannot be drawn. Undo the last change.
      </text>
    );
  }
}
