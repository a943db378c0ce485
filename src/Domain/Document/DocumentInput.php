<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Version;
use Lustrum\Storage\StoredDocument;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class DocumentInput implements RecordInput
{
    /**
     * @param StoredDocument|null $file    null: as it is
     * @param string              $name    of the file
     * @param string|null         $part    that it is of; null: the build as such
     * @param string|null         $article that it is of
     * @param string              $author  who made it
     * @param string              $day     of the document, as ISO date
     * @param list<Rating>        $ratings what it claims
     */
    public function __construct(
        #[Identifier]
        public string $revision,
        #[Name]
        public string $name,
        public DocumentRole $role = DocumentRole::Drawing,
        public ?StoredDocument $file = null,
        #[Identifier]
        public ?string $part = null,
        #[Identifier]
        public ?string $article = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $author = '',
        #[Assert\Regex('/^([0-9]{4}-[0-9]{2}-[0-9]{2})?$/', message: 'A date such as 2026-03-02.')]
        public string $day = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} ratings.')]
        public array $ratings = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
