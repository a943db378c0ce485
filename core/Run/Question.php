<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a method asks of each of its runs besides what it reads: 'latch opens', 'no crack', 'tab A fits'. */
final readonly class Question
{
    /**
     * @param string $key    stable name in answers, such as 'held'
     * @param string $metric identifier of what a 'yes' shows
     * @param string $text   when it has held, in words
     */
    public function __construct(
        public string $key,
        public string $metric,
        public string $text = '',
    ) {
    }

    public function showing(string $metric): self
    {
        return new self($this->key, $metric, $this->text);
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['key'] ?? ''), Row::text($row['metric'] ?? ''), Row::text($row['text'] ?? ''));
    }
}
