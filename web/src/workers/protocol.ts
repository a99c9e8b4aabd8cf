import type { Draft, ResolvedJob } from '@ample/core/fitting/plan';
import type { Bundle, BundleKind, Kept } from '@ample/core/documents/bundle';
import type { Care } from '@ample/core/paper/guard';
import type { ClothWish, Layout } from '@ample/core/out/layout';
import type { PaperId, PieceDrawing } from '@ample/core/out';
import type { PdfLabel, PdfLayer, PrintedRecord, PrintedSheet } from '@ample/core/out/pdf';
import type { ClothId } from '@ample/core/cloth';
import type { Fineness, Reading, Shown } from '@ample/core/drape';
import type { More } from '@ample/core/fitting/onForm';
import type { Side } from '@ample/core/fitting/plan';
import type { Body, Figure, Form } from '@ample/core/form';
import type { Path } from '@ample/core/geometry';
import type { CameraSet, Flat, Grey, KnownPoint, Residual, Scene, Turn } from '@ample/core/in/photo';
import type { Pattern, Piece } from '@ample/core/pattern';
import type { Region } from '@ample/core/out/patch';
import type { Lines, ReadFile, Wanted } from '@ample/core/in/tracing';
import type { Solution, SolveWish, Thinned } from '@ample/core/fitting/solve';
import type { Result } from '@ample/core/units';

/** Version of the messages: a worker from another build is refused rather than misread. */
export const PROTOCOL = 11;

/** What a worker says of a picture whose pixels it would not unpack. */
export const TOO_MANY = 'more pixels than can be opened';

export interface PdfRequest {
  /** Whole pieces or patches, as they are to be laid on the pages. */
  readonly drawings: readonly PieceDrawing[];
  /** The untouched pieces, lying as the cut ones lie. */
  readonly original: readonly Piece[];
  /** Paper that the steps taped in, by piece id. */
  readonly added: Readonly<Record<string, Region>>;
  readonly show: readonly PdfLayer[];
  readonly paper: PaperId;
  readonly turn: boolean;
  readonly apart: boolean;
  readonly label: PdfLabel;
  readonly notes: readonly string[];
  readonly sheets: readonly PrintedSheet[];
  readonly fonts: { readonly text: string; readonly bold: string };
}

/** A pattern is large and seldom changes: null means the one sent last. */
export type DraftRequest = Omit<ResolvedJob, 'pattern'> & {
  readonly pattern: Pattern | null;
  /** How closely the pieces are inspected; `complete` unless said. */
  readonly care?: Care;
};

export interface SolveRequest {
  readonly job: ResolvedJob;
  readonly wish: SolveWish;
}

export interface RecordRequest {
  readonly record: PrintedRecord;
  readonly paper: PaperId;
  readonly date: string;
  readonly fonts: PdfRequest['fonts'];
}

export interface ClothRequest {
  readonly v: typeof PROTOCOL;
  readonly id: number;
  readonly kind: 'cloth';
  readonly input: { readonly pieces: readonly Piece[]; readonly wishes: readonly ClothWish[] };
}

/** A body whose form is to be worked out. */
export interface FormRequest {
  readonly v: typeof PROTOCOL;
  readonly id: number;
  readonly kind: 'form';
  readonly input: { readonly body: Body; readonly right: Body | null };
}

/** A job to be hung on the wearer’s form. */
export interface DrapeRequest {
  readonly v: typeof PROTOCOL;
  readonly id: number;
  readonly kind: 'drape';
  readonly input: {
    readonly job: ResolvedJob;
    readonly cloth: ClothId;
    readonly fineness: Fineness;
    /** Which side is read, where they differ. */
    readonly side: Side;
    readonly sleeves: boolean;
    /** Also what takes longer to tell. */
    readonly more: boolean;
  };
}
/** On the wearer’s form as drafted and as planned; and as drafted on the body of the chart. */
export type Garments = 'drafted' | 'planned' | 'chart';
/** What comes on the way: the form, then each garment as soon as it rests. */
export type DrapePart =
  | { readonly kind: 'form'; readonly form: Form }
  | {
      readonly kind: 'cloth';
      readonly of: Garments;
      /** What it hangs on. */
      readonly figure: Figure;
      readonly shown: Shown;
      readonly settled: boolean;
    };
export interface Draped {
  readonly readings: Readonly<Record<'drafted' | 'planned', readonly Reading[]>>;
  readonly more: More | null;
  readonly differ: boolean;
  readonly side: Side;
  readonly size: string;
  /** The names of pieces that are not sewn on. */
  readonly leftOut: readonly string[];
}

/** A file to be taken apart into lines. */
export interface ReadRequest {
  readonly v: typeof PROTOCOL;
  readonly id: number;
  readonly kind: 'read';
  readonly input: { readonly bytes: Uint8Array<ArrayBuffer>; readonly kind: 'pdf' | 'svg' | 'dxf' };
}

/** All pieces of a sheet to be read at once. */
export interface WholeRequest {
  readonly v: typeof PROTOCOL;
  readonly id: number;
  readonly kind: 'whole';
  readonly input: { readonly lines: Lines; readonly wanted: Wanted };
}

/** A picture to be opened, played by the stand-in camera, or laid flat. */
export type PictureRequest =
  | { readonly kind: 'open'; readonly file: Blob }
  /** A page of a PDF that holds pictures only, counted from 1. */
  | { readonly kind: 'page'; readonly file: Blob; readonly page: number }
  | { readonly kind: 'standIn'; readonly outline: Path; readonly camera: CameraSet; readonly scene: Scene }
  | { readonly kind: 'flat'; readonly grey: Grey; readonly known: readonly KnownPoint[] }
  /** Two pictures laid flat as one. */
  | { readonly kind: 'join'; readonly base: Flat; readonly next: Flat; readonly joint: Turn };
/** The picture in grey and as a file to be shown; laid flat, how well the marks agree. */
export interface OpenedPicture {
  readonly grey: Grey;
  readonly jpeg: Uint8Array<ArrayBuffer>;
  /** Of a page: its true size, mm, and how many the file has. */
  readonly page?: { readonly width: number; readonly height: number; readonly of: number };
  readonly flat?: Flat;
  readonly residual?: Residual;
}
export type PictureReply = Result<OpenedPicture>;

export type BundleRequest = { readonly v: typeof PROTOCOL; readonly id: number } & (
  | { readonly kind: 'pack'; readonly input: { readonly kept: Kept; readonly of: BundleKind; readonly made: string } }
  | { readonly kind: 'unpack'; readonly input: Blob }
);

export type Request =
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly kind: 'draft'; readonly input: DraftRequest }
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly kind: 'pdf'; readonly input: PdfRequest }
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly kind: 'record'; readonly input: RecordRequest }
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly kind: 'solve'; readonly input: SolveRequest }
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly kind: 'thin'; readonly input: ResolvedJob };

export type Reply =
  | {
      readonly v: typeof PROTOCOL;
      readonly id: number;
      readonly ok: true;
      readonly value:
        | Draft
        | Uint8Array
        | Result<Solution>
        | Thinned
        | Result<Bundle>
        | readonly Result<Layout>[]
        | Form
        | Result<Draped>
        | Result<Lines>
        | ReadFile
        | PictureReply;
    }
  | { readonly v: typeof PROTOCOL; readonly id: number; readonly ok: false; readonly message: string };
