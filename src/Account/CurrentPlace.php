<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Uid\Uuid;

/** From which place somebody writes: each session names its entry in the list of places where somebody is signed in. */
final readonly class CurrentPlace
{
    /** The attribute of a session's token that names it. */
    public const ATTRIBUTE = 'signed_in';

    public function __construct(
        private EntityManagerInterface $em,
        private TokenStorageInterface $tokens,
    ) {
    }

    /** Null: nobody is signed in, as in a command. */
    public function place(): ?SignedIn
    {
        return $this->of($this->tokens->getToken());
    }

    public function of(?TokenInterface $token): ?SignedIn
    {
        $id = $token !== null && $token->hasAttribute(self::ATTRIBUTE) ? $token->getAttribute(self::ATTRIBUTE) : null;

        return is_string($id) && Uuid::isValid($id) ? $this->em->find(SignedIn::class, $id) : null;
    }
}
