import { Component, type ReactNode } from 'react';
import { Button } from './Button.js';

interface PaneBoundaryProps {
  /** What the pane is called, where it says that it cannot be drawn. */
  readonly name: string;
  readonly children: ReactNode;
}

interface PaneBoundaryState {
  readonly trouble: string | null;
}

/** One pane that fails leaves the others standing: it says so, and can be tried again. */
export class PaneBoundary extends Component<PaneBoundaryProps, PaneBoundaryState> {
  override state: PaneBoundaryState = { trouble: null };

  static getDerivedStateFromError(error: unknown): PaneBoundaryState {
    return { trouble: error instanceof Error ? error.message : String(error) };
  }

  override render() {
    const { trouble } = this.state;
    if (trouble === null) return this.props.children;
    return (
      <div
        role="alert"
        className="min-w-48 flex-1 rounded border border-rust bg-rust-wash p-3 text-sm text-rust"
      >
        <p>
          {this.props.name} cannot be drawn: {trouble}. The piece itself is as it was, and is saved.
        </p>
        <Button onClick={() => this.setState({ trouble: null })}>Try again</Button>
      </div>
    );
  }
}
