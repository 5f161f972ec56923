"""The answer records of the operations, as types: what JSON, the server's schemas and the client's types are made from.

An operation of ``operations.OPERATIONS`` returns one of these; a key that is ``NotRequired`` is absent
where it says nothing. Wherever a sentence stands, it stands twice: as text and in ``parts``.
"""
