<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Domain\Trial\PanelInput;
use Lustrum\Record\RecordInput;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Symfony\Component\Uid\Uuid;

/** Whoever makes a panel serves it, unless somebody else is named. */
final readonly class WritingPanels implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private RecordWriter $writer,
        private CurrentUser $user,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        return $input instanceof PanelInput;
    }

    public function put(Uuid $id, RecordInput $input): Written
    {
        assert($input instanceof PanelInput);
        $me = $this->user->user()?->id()->toRfc4122();
        $isNew = $this->em->find(Panel::class, $id) === null;

        return $this->writer->put(Panel::class, $id, $isNew && $input->serves === null ? $input->servedBy($me) : $input);
    }
}
