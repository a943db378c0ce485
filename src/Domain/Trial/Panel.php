<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Account\Role;
use Lustrum\Account\User;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Panel\ServingOrders;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Revision\Article;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/**
 * Articles that people rate under codes, without knowing which is which. Codes and orders follow from the articles, the number
 * of raters and the seed, the same on every machine; what was rated becomes runs when it is unblinded.
 *
 * @extends Record<PanelInput>
 */
#[ORM\Entity]
class Panel extends Record
{
    private const SEEDS = 1_000_000_000;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Trial $trial;

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $serials = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $raters = [];

    /** Drawn here, and told to nobody before it is unblinded: codes and orders follow from it. */
    #[ORM\Column]
    private int $seed = 1;

    /** The account of whoever serves; null: nobody of this workspace is named. */
    #[ORM\Column(type: UuidType::NAME, nullable: true)]
    private ?Uuid $serves = null;

    #[ORM\Column(length: 120)]
    private string $servesName = '';

    /** @var list<PanelOpening> */
    #[ORM\Column(type: PanelOpeningsType::NAME)]
    private array $opened = [];

    /** @var list<PanelScale> */
    #[ORM\Column(type: PanelScalesType::NAME)]
    private array $scales = [];

    #[ORM\Column]
    private bool $prefers = false;

    #[ORM\Column(length: 300)]
    private string $guess = '';

    /** Serial of the right answer to the guess. */
    #[ORM\Column(name: 'right_one', length: 40)]
    private string $right = '';

    #[ORM\Column(type: SignOffType::NAME, nullable: true)]
    private ?SignOff $unblinded = null;

    /** Worked out once: all of a page asks for it. */
    private ?ServingOrders $orders = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->trial = $records->named(Trial::class, $input->trial, 'trial');
        // Raters ride, push and lift as anybody does.
        $new->trial->mustBeSafeToRun(null);
        $new->seed = random_int(1, self::SEEDS);

        return $new->beginUnder($id, $new->trial);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $raters = array_map(trim(...), $input->raters);
        $serials = array_map(trim(...), $input->serials);
        if ($this->isRated($records)) {
            $this->mustOnlyGrow($input, $serials, $raters);
        }
        self::mustBeThere($serials, $records->all(Article::class, ['revision' => $this->trial->revision()]));
        if (count(array_unique(array_map(mb_strtolower(...), $raters))) !== count($raters) || $raters === []) {
            throw Invalid::at('raters', 'Name each rater once; one at least.');
        }
        if ($input->scales === [] && !$input->prefers) {
            throw Invalid::at('scales', 'Ask for something: a scale, or which of two is better.');
        }
        foreach ($input->scales as $i => $scale) {
            $channel = array_column($this->trial->method()->channels(), null, 'key')[$scale->channel] ?? null;
            if ($channel === null || $channel->isDerived()) {
                throw Invalid::at(sprintf('scales[%d].channel', $i), 'The method reads no such channel.');
            }
        }
        if (trim($input->guess) !== '' && !in_array(trim($input->right), $serials, true)) {
            throw Invalid::at('right', 'Say which article is the right answer, so that one sees whether the blind held.');
        }
        $this->isServedBy($input->serves, $raters, $records);
        [$this->serials, $this->raters, $this->orders] = [$serials, $raters, null];
        [$this->scales, $this->prefers, $this->guess, $this->right] = [
            $input->scales, $input->prefers, trim($input->guess), trim($input->right),
        ];
        try {
            $this->orders();
        } catch (InvalidInput $e) {
            throw Invalid::at($e->path === 'raters' ? 'raters' : 'serials', $e->getMessage());
        }
    }

    /**
     * One of the workspace, who does not rate; null: as it is.
     *
     * @param list<string> $raters
     */
    private function isServedBy(?string $person, array $raters, Records $records): void
    {
        $person ??= $this->serves?->toRfc4122();
        if ($person === null) {
            return;
        }
        $member = $records->member($this->workspace(), Uuid::fromString($person));
        if ($member === null || $member->role() === Role::Viewer) {
            throw Invalid::at('serves', 'Whoever serves is a member of this workspace.');
        }
        $name = $member->user()->name();
        if (in_array(mb_strtolower($name), array_map(mb_strtolower(...), $raters), true)) {
            throw Invalid::at('raters', sprintf('%s serves, knows which article is handed over, and so cannot rate blind.', $name));
        }
        [$this->serves, $this->servesName] = [$member->user()->id(), $name];
    }

    public function isServer(?User $user): bool
    {
        return $user !== null && $this->serves !== null && $this->serves->equals($user->id());
    }

    public function servesName(): string
    {
        return $this->servesName;
    }

    /** A lead must know which code is which, before it is unblinded. */
    public function open(User $lead, string $because): void
    {
        $this->opened = [...$this->opened, new PanelOpening(
            $lead->name(), $lead->id()->toRfc4122(), $because, Instant::write(new \DateTimeImmutable()),
        )];
    }

    public function isOpenTo(?User $user): bool
    {
        return $this->isUnblinded() || ($user !== null && in_array($user->id()->toRfc4122(), array_column($this->opened, 'person'), true));
    }

    /** @return list<PanelOpening> */
    public function opened(): array
    {
        return $this->opened;
    }

    /** In which order each rater is served, and under which codes. */
    public function orders(): ServingOrders
    {
        return $this->orders ??= ServingOrders::of($this->serials, max(1, count($this->raters)), $this->seed);
    }

    /** @return list<string> codes in the order in which this rater is served; empty: nobody of that name rates */
    public function servedTo(string $rater): array
    {
        $place = array_search($rater, $this->raters, true);

        return $place === false ? [] : $this->orders()->raters[$place]['codes'];
    }

    /** Which article a code stands for. */
    public function serialOf(string $code): ?string
    {
        $serial = array_search($code, $this->orders()->codes, true);

        return $serial === false ? null : (string) $serial;
    }

    public function unblind(string $by): void
    {
        $this->unblinded = new SignOff($by, '', Instant::write(new \DateTimeImmutable()));
    }

    public function isUnblinded(): bool
    {
        return $this->unblinded !== null;
    }

    /** Who serves it elsewhere is nobody of this workspace. */
    public static function asTyped(array $row): array
    {
        return ['serves' => null] + $row;
    }

    public function restore(array $row, Records $records): void
    {
        // A panel that is blind goes out without it; one that never was, or that somebody wrote, has it.
        if (is_int($row['seed'] ?? null)) {
            [$this->seed, $this->orders] = [max(1, min(self::SEEDS, $row['seed'])), null];
        }
        $this->opened = array_map(PanelOpening::fromRow(...), Row::rows($row['opened'] ?? null));
        $this->servesName = mb_substr(Row::text($row['servesName'] ?? $this->servesName), 0, 120);
        $this->serves = $records->called($this->workspace(), $this->servesName)?->id();
        $known = $row['unblinded'] ?? null;
        $this->unblinded = is_array($known) ? SignOff::fromRow($known) : null;
    }

    public function view(): PanelView
    {
        return new PanelView(
            $this->id()->toRfc4122(), $this->version(), $this->trial->id()->toRfc4122(), $this->serials, $this->raters,
            $this->isUnblinded() ? $this->seed : null, $this->serves?->toRfc4122(), $this->servesName, $this->opened, $this->scales,
            $this->prefers, $this->guess, $this->right, $this->unblinded, $this->createdBy(), Instant::write($this->createdAt()),
        );
    }

    public function build(): Uuid
    {
        return $this->trial->build();
    }

    public function trial(): Trial
    {
        return $this->trial;
    }

    /** @return list<string> */
    public function raters(): array
    {
        return $this->raters;
    }

    /** @return list<PanelScale> */
    public function scales(): array
    {
        return $this->scales;
    }

    public function prefers(): bool
    {
        return $this->prefers;
    }

    public function guess(): string
    {
        return $this->guess;
    }

    public function right(): string
    {
        return $this->right;
    }

    private function isRated(Records $records): bool
    {
        return $this->serials !== [] && $records->all(PanelSheet::class, ['panel' => $this]) !== [];
    }

    /**
     * What was rated stays comparable only while all are asked the same, of the same, under the same codes.
     *
     * @param list<string> $serials
     * @param list<string> $raters
     */
    private function mustOnlyGrow(PanelInput $input, array $serials, array $raters): void
    {
        $same = $serials === $this->serials && $input->scales == $this->scales && $input->prefers === $this->prefers
            && array_slice($raters, 0, count($this->raters)) === $this->raters;
        if (!$same) {
            throw Invalid::at(
                'serials',
                'It is being rated: only raters may still be added, at the end. Begin another panel for anything else.',
            );
        }
    }

    /**
     * @param list<string>  $serials
     * @param list<Article> $articles
     */
    private static function mustBeThere(array $serials, array $articles): void
    {
        $here = array_map(
            static fn (Article $a): string => $a->serial(), array_filter($articles, static fn (Article $a): bool => $a->isHere()),
        );
        foreach ($serials as $i => $serial) {
            if (!in_array($serial, $here, true)) {
                throw Invalid::at(sprintf('serials[%d]', $i), sprintf('“%s” is no article of this build that is here.', $serial));
            }
        }
    }
}
