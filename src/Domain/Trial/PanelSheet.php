<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Channel;
use Lustrum\Domain\Device\Metric;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * What one rater said of one code, before anybody knew which it was. Never overwritten: what was said stays.
 *
 * @extends Record<PanelSheetInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'panel_sheet_once', columns: ['panel_id', 'rater', 'code'])]
class PanelSheet extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Panel $panel;

    #[ORM\Column(length: 120)]
    private string $rater = '';

    #[ORM\Column(length: 3)]
    private string $code = '';

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $ratings = [];

    #[ORM\Column(length: 10, nullable: true)]
    private ?Preferred $prefers = null;

    #[ORM\Column(length: 3)]
    private string $guess = '';

    #[ORM\Column(length: 300)]
    private string $note = '';

    #[ORM\Column]
    private bool $late = false;

    /** A member rated it at a session of their own, which sees more than codes. */
    #[ORM\Column]
    private bool $notBlind = false;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->panel = $records->named(Panel::class, $input->panel, 'panel');
        $new->late = $new->panel->isUnblinded();

        return $new->beginUnder($id, $new->panel);
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->code !== '') {
            throw Invalid::at('code', 'What was rated stays as it was said. Add a note to the run once it is unblinded.');
        }
        $served = $this->panel->servedTo($input->rater);
        if (!in_array($input->code, $served, true)) {
            throw Invalid::at(
                'code', $served === [] ? 'Nobody of that name rates in this panel.' : 'No such code is served in this panel.',
            );
        }
        if ($input->guess !== '' && !in_array($input->guess, $served, true)) {
            throw Invalid::at('guess', 'No such code is served in this panel.');
        }
        $this->ratings = $this->sound($input->ratings, $records);
        [$this->rater, $this->code, $this->prefers] = [$input->rater, $input->code, $input->prefers];
        [$this->guess, $this->note] = [$input->guess, trim($input->note)];
    }

    /**
     * All that is asked, each as its channel takes it.
     *
     * @param list<Found> $ratings
     *
     * @return list<Found>
     */
    private function sound(array $ratings, Records $records): array
    {
        $said = array_column($ratings, 'text', 'name');
        $channels = array_column($this->panel->trial()->method()->channels(), null, 'key');
        $out = [];
        foreach ($this->panel->scales() as $i => $scale) {
            $text = trim($said[$scale->channel] ?? '');
            $channel = $channels[$scale->channel] ?? null;
            if ($text === '' || !$channel instanceof Channel) {
                throw Invalid::at(sprintf('ratings[%d].text', $i), 'This is not rated yet.');
            }
            $words = $records->named(Metric::class, $channel->metric, 'ratings')->view()->words;
            try {
                Reading::read($text, $channel->unit, $channel, $words);
            } catch (Invalid $e) {
                throw Invalid::at(sprintf('ratings[%d].text', $i), $e->getMessage());
            }
            $out[] = new Found($scale->channel, $text);
        }

        return $out;
    }

    public function restore(array $row, Records $records): void
    {
        $this->late = ($row['late'] ?? false) === true;
        $this->notBlind = ($row['notBlind'] ?? false) === true;
    }

    /** While the panel is blind, nothing of what was said: not in an answer, nor in the history. */
    public function view(): PanelSheetView
    {
        $isBlind = !$this->panel->isUnblinded();

        return new PanelSheetView(
            $this->id()->toRfc4122(), $this->version(), $this->panel->id()->toRfc4122(), $this->rater, $this->code,
            $isBlind ? [] : $this->ratings, $isBlind ? null : $this->prefers, $isBlind ? '' : $this->guess, $isBlind ? '' : $this->note,
            $this->late, $this->notBlind, $this->createdBy(), Instant::write($this->createdAt()),
        );
    }

    /** It goes out with a device file once nothing is blind any more. */
    public function goesOut(): bool
    {
        return $this->panel->isUnblinded();
    }

    public function wasNotBlind(): void
    {
        $this->notBlind = true;
    }

    public function build(): Uuid
    {
        return $this->panel->build();
    }

    public function panel(): Panel
    {
        return $this->panel;
    }

    public function at(): \DateTimeImmutable
    {
        return $this->createdAt();
    }
}
