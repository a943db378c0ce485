<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Method\Method;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\NamedTextsType;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One physical thing that was built to a revision, with what it went through; it may be reworked into another.
 *
 * @extends Record<ArticleInput>
 */
#[ORM\Entity]
class Article extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 40)]
    private string $serial = '';

    /** @var array<string, string> material => lot */
    #[ORM\Column(type: NamedTextsType::NAME)]
    private array $lots = [];

    #[ORM\Column(type: Types::TEXT)]
    private string $deviations = '';

    #[ORM\Column(length: 10)]
    private string $state = 'finished';

    #[ORM\Column(length: 40)]
    private string $arm = '';

    /** Of a model. */
    #[ORM\Column(length: 20)]
    private string $scale = '';

    /** @var list<string> what a mock-up stands for */
    #[ORM\Column(type: TextsType::NAME)]
    private array $standsFor = [];

    /** @var list<Deviation> from its build, one by one */
    #[ORM\Column(type: DeviationsType::NAME)]
    private array $deviants = [];

    #[ORM\Column(length: 120)]
    private string $keeper = '';

    #[ORM\Column(length: 10)]
    private Whereabouts $whereabouts = Whereabouts::Here;

    /** @var list<ArticleUse> outside trials */
    #[ORM\Column(type: ArticleUsesType::NAME)]
    private array $uses = [];

    /** @var list<string> identifiers of builds that it was of before it was reworked, oldest first */
    #[ORM\Column(type: TextsType::NAME)]
    private array $earlier = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->reworkedInto($records->named(Revision::class, $input->revision, 'revision'));
        if ($input->arm !== '' && !$this->revision->hasArm($input->arm)) {
            throw Invalid::at('arm', sprintf('Build %s has no variant “%s”.', $this->revision->letter(), $input->arm));
        }
        if ($input->state === 'model' && trim($input->scale) === '') {
            throw Invalid::at('scale', 'A model needs its scale, such as 1:5.');
        }
        $this->arm = trim($input->arm);
        $this->scale = trim($input->scale);
        $this->standsFor = $input->standsFor;
        $this->deviants = array_map(static fn (DeviationInput $d): Deviation => $d->deviation(), $input->deviants);
        $this->keeper = trim($input->keeper);
        $this->whereabouts = $input->whereabouts;
        $this->uses = $this->soundUses($input->uses, $records);
        $this->serial = trim($input->serial);
        $this->lots = $input->lotsByMaterial();
        $this->deviations = $input->deviations;
        $this->state = $input->state;
    }

    /**
     * A level that its method does not know would make nothing comparable, and nobody would see why.
     *
     * @param list<ArticleUse> $uses
     *
     * @return list<ArticleUse>
     */
    private function soundUses(array $uses, Records $records): array
    {
        $named = array_values(array_filter($uses, static fn (ArticleUse $u): bool => $u->method !== ''));
        $methods = $named === [] ? [] : $records->all(Method::class, ['device' => $this->revision->device()]);
        foreach ($uses as $i => $use) {
            $method = array_values(array_filter($methods, static fn (Method $m): bool => $m->name() === $use->method))[0] ?? null;
            $factors = $method === null ? [] : array_column($method->factors(), 'name');
            foreach ($method === null ? [] : array_keys($use->levelsByFactor()) as $name) {
                if (!in_array((string) $name, $factors, true)) {
                    throw Invalid::at(sprintf('uses[%d].levels', $i), $factors === []
                        ? sprintf('“%s” has no factors.', $use->method)
                        : sprintf('“%s” has no factor “%s”: it has %s.', $use->method, $name, implode(', ', $factors)));
                }
            }
        }

        return $uses;
    }

    /** One serial, another build: what it went through goes along. */
    private function reworkedInto(Revision $revision): void
    {
        if ($revision->id()->equals($this->revision->id())) {
            return;
        }
        if (!$revision->device()->id()->equals($this->revision->device()->id())) {
            throw Invalid::at('revision', 'That build is of another device.');
        }
        $this->earlier = [...$this->earlier, $this->revision->id()->toRfc4122()];
        $this->revision = $revision;
    }

    /** Later runs are made with it so; what was said of the same before is no longer. */
    public function isOtherwise(Deviation $now): void
    {
        $kept = array_values(array_filter(
            $this->deviants, static fn (Deviation $d): bool => mb_strtolower($d->name) !== mb_strtolower($now->name),
        ));
        if (count($kept) >= Limit::LIST) {
            throw Invalid::at('text', sprintf('At most %d deviations of one article.', Limit::LIST));
        }
        $this->deviants = [...$kept, $now];
    }

    /**
     * What was changed on it became a build's own.
     *
     * @param list<Deviation> $gathered
     */
    public function gatheredInto(Revision $revision, array $gathered): void
    {
        $this->reworkedInto($revision);
        $this->deviants = array_values(array_filter($this->deviants, static fn (Deviation $d): bool => !$d->isAmong($gathered)));
    }

    public function restore(array $row, Records $records): void
    {
        $this->earlier = Row::texts($row['earlier'] ?? []);
    }

    /** Is it of this build, or was it before it was reworked? */
    public function isOf(Revision $revision): bool
    {
        return $revision->id()->equals($this->revision->id()) || in_array($revision->id()->toRfc4122(), $this->earlier, true);
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): ArticleView
    {
        return new ArticleView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->serial,
            array_map(static fn (string $m, string $l): string => $m.': '.$l, array_keys($this->lots), array_values($this->lots)),
            $this->deviations, $this->state, $this->arm, $this->scale, $this->standsFor, $this->deviants, $this->keeper, $this->whereabouts,
            $this->uses, $this->earlier, array_filter($this->deviants, static fn (Deviation $d): bool => $d->isOfDesign()) !== [],
        );
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public function serial(): string
    {
        return $this->serial;
    }

    public function deviations(): string
    {
        return $this->deviations;
    }

    public function state(): string
    {
        return $this->state;
    }

    /** A plan offers only what is here. */
    public function isHere(): bool
    {
        return $this->whereabouts === Whereabouts::Here;
    }

    public function arm(): string
    {
        return $this->arm;
    }

    /** @return list<Deviation> */
    public function deviants(): array
    {
        return $this->deviants;
    }

    /** @return array<string, string> */
    public function lots(): array
    {
        return $this->lots;
    }
}
