-- name: Is this sheet on loan?
-- application: muniment
-- author: I. Moss
-- SPDX-License-Identifier: CC0-1.0
SELECT * FROM LENDING.ITEM WHERE ACCESSION = ‹accession›
