<?php

declare(strict_types=1);

namespace Lustrum\Sheet\People;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Membership;
use Lustrum\Account\MemberView;
use Lustrum\Account\Role;
use Lustrum\Account\Workspace;
use Lustrum\Core\Wording\FrameWords;

/** Works out the sheet of people. */
final readonly class PeopleSheets
{
    public function __construct(
        private EntityManagerInterface $em,
    ) {
    }

    public function of(Workspace $workspace): PeopleSheet
    {
        $people = array_map(
            static fn (Membership $m): MemberView => $m->view(),
            $this->em->getRepository(Membership::class)->findBy(['workspace' => $workspace], ['id' => 'ASC']),
        );
        $writers = count(array_filter($people, static fn (MemberView $m): bool => $m->role !== Role::Viewer));

        return new PeopleSheet(FrameWords::people($workspace->name(), count($people), $writers), array_values($people));
    }
}
