<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Method\Channel;
use Lustrum\Method\Method;
use Lustrum\Revision\Article;
use Lustrum\Revision\Revision;
use Symfony\Component\Uid\Uuid;

/** Everything that a run was made with, frozen at its start, so that later edits cannot rewrite history. */
final readonly class Configuration
{
    /**
     * @param array<string, string>       $lots
     * @param list<array<string, mixed>> $channels
     */
    public function __construct(
        public string $revision,
        public string $letter,
        public string $firmware,
        public ?string $article,
        public string $serial,
        public string $articleState,
        public string $deviations,
        public array $lots,
        public int $earlierRuns,
        public int $earlierFailures,
        public string $method,
        public string $methodName,
        public int $methodVersion,
        public string $rig,
        public array $channels,
    ) {
    }

    /** The same under other identifiers, for a device that was brought in from a file. */
    public function under(Uuid $revision, ?Uuid $article, Uuid $method): self
    {
        return new self($revision->toRfc4122(), $this->letter, $this->firmware, $article?->toRfc4122(), $this->serial, $this->articleState, $this->deviations, $this->lots, $this->earlierRuns, $this->earlierFailures, $method->toRfc4122(), $this->methodName, $this->methodVersion, $this->rig, $this->channels);
    }

    public static function of(Revision $revision, ?Article $article, Method $method, int $earlierRuns, int $earlierFailures): self
    {
        return new self(
            $revision->id()->toRfc4122(), $revision->letter(), $revision->firmware(),
            $article?->id()->toRfc4122(), $article?->serial() ?? '', $article?->state() ?? '', $article?->deviations() ?? '', $article?->lots() ?? [],
            $earlierRuns, $earlierFailures,
            $method->id()->toRfc4122(), $method->name(), $method->version(), $method->view()->rig,
            array_map(static fn (Channel $c): array => ['key' => $c->key, 'metric' => $c->metric, 'unit' => $c->unit, 'instrument' => $c->instrument, 'resolution' => $c->resolution, 'whenStopped' => $c->whenStopped->value, 'formula' => $c->formula], $method->channels()),
        );
    }
}
