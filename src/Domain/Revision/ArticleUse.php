<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Lustrum\Shared\NamedLines;
use Symfony\Component\Validator\Constraints as Assert;

/** Use of an article outside trials, in one line; it is no trial. */
final readonly class ArticleUse
{
    /**
     * @param string $day     ISO date
     * @param string $howLong or how often: '12 h', 'a season', '30 beds'
     * @param string $wrong   what went wrong; 'nothing' is an answer
     * @param string $method  name of the method whose runs it was like; empty: nobody said
     * @param list<string> $levels  one 'factor: level' an entry
     * @param list<string> $without modes that would have shown, and did not
     */
    public function __construct(
        #[Assert\Regex('/^([0-9]{4}-[0-9]{2}-[0-9]{2})?$/', message: 'A date such as 2026-03-02.')]
        public string $day = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $howLong = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $what = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $wrong = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $method = '',
        #[Choices]
        public array $levels = [],
        #[Choices]
        public array $without = [],
    ) {
    }

    /** @return array<string, string> by factor */
    public function levelsByFactor(): array
    {
        return NamedLines::of($this->levels);
    }
}
