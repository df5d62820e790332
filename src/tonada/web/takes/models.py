"""What crosses the boundary: pydantic models, and their way to the core's values and back."""

from __future__ import annotations

from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field, StringConstraints

from tonada.core import limits
from tonada.core.color.notation import LONGEST_COLOR, Notation
from tonada.core.color.wcag import Level
from tonada.core.mends.nearest import MendMode
from tonada.core.mends.one_pair import Mend, MendKind
from tonada.core.mends.texts_first import TextChanged
from tonada.core.mends.what_moved import Moved
from tonada.core.pairs.evaluation import Evaluation
from tonada.core.roles.candidates import SourceColor
from tonada.core.roles.proposal import ProposedRole
from tonada.core.roles.starts import Start, words_of_start
from tonada.core.source.kept import SourceKind
from tonada.core.take.dependents import Dependents
from tonada.core.take.take import Role
from tonada.document.parts import Described, HexText, Identifier, Line, Model, Name, PairId, Share, Whole
from tonada.document.take import TakeDocument
from tonada.store.brands import BrandRow, Shelf
from tonada.store.takes import TakeRow
from tonada.store.versions import ListedVersion, VersionRow


class BrandBody(Model):
    name: Name


class BrandAnswer(Model):
    id: UUID
    name: str
    first_take: UUID | None

    @classmethod
    def of(cls, row: BrandRow) -> BrandAnswer:
        return cls(id=row.id, name=row.name, first_take=row.first_take)


class SwatchOnScale(Model):
    """position: 0 for black to 1 for white."""

    hex: str
    position: float


class ShareOfMeasure(Model):
    """A colour of a palette with its share of the whole, 0 to 1."""

    hex: str
    share: float


class BrandReviews(Model):
    """What of a brand is out for review, and what came back.

    out: reviews with a link that leads there, not approved. unresolved: remarks. approved: what was approved
    last, and by whom; none where nothing is.
    """

    out: int
    unresolved: int
    approved: str | None


class BrandSummary(Model):
    """A brand in the list, with its first take: its main colours on the contrast scale, all in their
    shares, how many pairs fall short of its level. logo: a source that stands for it.
    """

    brand: BrandAnswer
    swatches: tuple[SwatchOnScale, ...]
    measure: tuple[ShareOfMeasure, ...]
    failing: int
    level: Level
    logo: UUID | None
    takes: int
    sources: int
    changed_at: datetime
    reviews: BrandReviews | None


class BrandsQuery(Model):
    """after: the brand that the page before ended with. find: part of a name, in any case."""

    after: UUID | None = None
    shelf: Shelf = "open"
    find: Annotated[str, StringConstraints(max_length=80, strip_whitespace=True)] | None = None


class ArchiveBody(Model):
    archived: bool


class BrandsAnswer(Model):
    """A page of brands. next: what to ask for as `after`, null on the last page."""

    brands: tuple[BrandSummary, ...]
    next: UUID | None


class TakeSummary(Model):
    id: UUID
    name: str
    revision: int


class TakeAnswer(Model):
    id: UUID
    brand_id: UUID
    name: str
    revision: int
    saved_at: datetime
    document: TakeDocument

    @classmethod
    def of(cls, row: TakeRow) -> TakeAnswer:
        return cls(
            id=row.id,
            brand_id=row.brand_id,
            name=row.name,
            revision=row.revision,
            saved_at=row.saved_at,
            document=TakeDocument.model_validate(row.document),
        )


class NewTakeBody(Model):
    document: TakeDocument
    name: Name | None = None


class SaveTakeBody(Model):
    """The new document with the revision that it was made from."""

    document: TakeDocument
    revision: Annotated[int, Field(ge=1)]


class TakeNameBody(Model):
    name: Name


class TakeOrderBody(Model):
    """All takes of a brand in the order wanted."""

    takes: Annotated[tuple[UUID, ...], Field(max_length=200)]


class VersionBody(Model):
    """is_automatic: saved by Tonada before something large."""

    description: Annotated[str, StringConstraints(max_length=200), Line] = ""
    is_automatic: bool = False


class VersionAnswer(Model):
    number: int
    description: str
    is_automatic: bool
    created_at: datetime
    document: TakeDocument

    @classmethod
    def of(cls, row: VersionRow) -> VersionAnswer:
        return cls(
            number=row.number,
            description=row.description,
            is_automatic=row.is_automatic,
            created_at=row.created_at,
            document=TakeDocument.model_validate(row.document),
        )


class VersionsQuery(Model):
    """before: the number that the page before ended with."""

    before: Annotated[int, Field(ge=1, le=limits.LARGEST_INTEGER)] | None = None


class VersionsAnswer(Model):
    """A page of versions, the newest first. next: what to ask for as `before`, null on the last page."""

    versions: tuple[ListedVersion, ...]
    next: int | None


class ColorBody(Model):
    """A colour in any CSS notation."""

    text: Annotated[str, StringConstraints(max_length=LONGEST_COLOR)]


class ColorAnswer(Model):
    """What was understood. mapped: it lies outside sRGB, and is taken as an sRGB screen shows it."""

    hex: str
    name: str
    notation: Notation
    mapped: bool


class EvaluateBody(Model):
    document: TakeDocument


class DependentsBody(Model):
    document: TakeDocument
    owner: Identifier


class DependentsAnswer(Whole[Dependents]):
    pass


class EvaluationAnswer(Whole[Evaluation]):
    pass


class KeptEvaluationAnswer(Model):
    """The figures of a take as it is kept, and of which revision they are."""

    revision: int
    evaluation: Evaluation


class ColorChoice(Model):
    """A colour of a source as it was found, and what the designer wants of it, if anything."""

    hex: HexText
    share: Share = 0.0
    ground_share: Share = 0.0
    role: Role | None = None
    choice: Role | Literal["keep", "leave out"] | None = None
    name: Name | None = None
    picked: bool = False

    def to_color(self) -> SourceColor:
        return SourceColor(
            self.hex, self.share, self.ground_share, self.name or "", self.role, self.choice, self.picked
        )


class ProposalBody(Model):
    """leave_out_ground: whether what the picture stands on asks for no role.

    start: how what is missing is made, one of those that an answer offers; null, or one that these colours
    don't offer, is the usual one.
    """

    colors: Annotated[tuple[ColorChoice, ...], Field(min_length=1, max_length=limits.MAX_SOURCE_COLORS)]
    source: UUID | None = None
    source_name: Annotated[str, StringConstraints(max_length=200), Line] = "a list"
    kind: SourceKind = "image"
    leave_out_ground: bool = False
    level: Level = "AA"
    start: Start | None = None


class ProposedRoleAnswer(Model):
    role: Role
    hex: str
    reason: str
    made: bool

    @classmethod
    def of(cls, proposed: ProposedRole) -> ProposedRoleAnswer:
        return cls(
            role=proposed.role, hex=proposed.hex, reason=proposed.reason, made=proposed.candidate is None
        )


class StartAnswer(Model):
    """How the roles are made that no given colour has: what to send as start, and what a person reads."""

    id: Start
    title: str
    hint: str

    @classmethod
    def of(cls, start: Start) -> StartAnswer:
        title, hint = words_of_start(start)
        return cls(id=start, title=title, hint=hint)


class ProposalAnswer(Model):
    """The roles, what becomes of each colour that was sent, and the take.

    start: how what is missing was made; starts: those to choose from, the usual one first.

    alike: a sentence for each two colours that a person would take for each other.
    checked: how many pairs it has by day and night. short: a sentence for each that doesn't pass AA;
    impossible: what its colours keep a role from being.
    """

    roles: tuple[ProposedRoleAnswer, ...]
    choices: tuple[Role | Literal["keep", "leave out"], ...]
    impossible: tuple[str, ...]
    checked: int
    short: tuple[str, ...]
    alike: tuple[str, ...]
    start: Start
    starts: tuple[StartAnswer, ...]
    document: TakeDocument


class MendsBody(Model):
    """mode: whether a colour that moves keeps its hue."""

    document: TakeDocument
    pair: PairId
    mode: MendMode = "hue"


class MendAnswer(Model):
    kind: MendKind
    moved: str
    text_hex: str
    ground_hex: str
    ratio: float
    difference: float
    touches: int
    breaks: int
    document: TakeDocument

    @classmethod
    def of(cls, mend: Mend) -> MendAnswer:
        return cls(
            kind=mend.kind,
            moved=mend.moved,
            text_hex=mend.text_hex,
            ground_hex=mend.ground_hex,
            ratio=mend.ratio,
            difference=mend.difference,
            touches=mend.touches,
            breaks=mend.breaks,
            document=TakeDocument.of(mend.mended),
        )


class MendsAnswer(Model):
    """The ways, and the best ratio that any colour in the place of the text, or of the ground, could have."""

    mends: tuple[MendAnswer, ...]
    best_text: float
    best_ground: float


class MendedTakeAnswer(Model):
    """All pairs mended: the take, what moved and how much that is, and why the rest still falls short."""

    document: TakeDocument
    moved: tuple[Moved, ...]
    texts: tuple[TextChanged, ...]
    size: str
    impossible: tuple[str, ...]


class Problem(Described):
    """RFC 9457. field: what was wrong, where that is known. take: what is saved now.

    restoration: of something deleted, the path to post to that brings it back.
    """

    type: str = "about:blank"
    title: str
    status: int
    detail: str
    field: str | None = None
    take: TakeAnswer | None = None
    restoration: str | None = None
