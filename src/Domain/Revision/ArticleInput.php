<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Run\ArticleState;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\NamedLines;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class ArticleInput implements RecordInput
{
    /**
     * @param string               $revision  another than before: it was reworked into that build, and its past goes along
     * @param list<string>         $lots      one 'material: lot' an entry
     * @param string               $arm       name of the arm of its build
     * @param string               $scale     of a model: '1:5'
     * @param list<string>         $standsFor of a mock-up: shape, feel, handling, function, look
     * @param list<DeviationInput> $deviants  from its build, one by one
     * @param list<ArticleUse>     $uses      outside trials
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim')]
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $serial,
        #[Choices]
        public array $lots = [],
        #[Note]
        public string $deviations = '',
        #[Assert\Choice(choices: ArticleState::ALL, message: 'One of the given choices is wanted here.')]
        public string $state = 'finished',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $arm = '',
        #[Assert\Length(max: 20, maxMessage: 'At most {{ limit }} characters.')]
        public string $scale = '',
        #[Choices]
        public array $standsFor = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} deviations.')]
        public array $deviants = [],
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $keeper = '',
        public Whereabouts $whereabouts = Whereabouts::Here,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} uses.')]
        public array $uses = [],
        #[Version]
        public ?int $version = null,
    ) {
    }

    /** @return array<string, string> */
    public function lotsByMaterial(): array
    {
        return array_map(static fn (string $lot): string => $lot === '' ? 'unknown' : $lot, NamedLines::of($this->lots));
    }
}
