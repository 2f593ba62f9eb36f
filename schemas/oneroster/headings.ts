/* OneRoster 1.2, CSV binding: roster and results out, roster in. Headings from memory of the published tables. */

/** Columns by file. */
export const HEADINGS = {
  'manifest.csv': ['propertyName', 'value'],
  'orgs.csv': ['sourcedId', 'status', 'dateLastModified', 'name', 'type', 'identifier', 'parentSourcedId'],
  'academicSessions.csv': [
    'sourcedId', 'status', 'dateLastModified', 'title', 'type', 'startDate', 'endDate', 'parentSourcedId', 'schoolYear',
  ],
  'courses.csv': [
    'sourcedId', 'status', 'dateLastModified', 'schoolYearSourcedId', 'title', 'courseCode', 'grades', 'orgSourcedId',
    'subjects', 'subjectCodes',
  ],
  'classes.csv': [
    'sourcedId', 'status', 'dateLastModified', 'title', 'grades', 'courseSourcedId', 'classCode', 'classType', 'location',
    'schoolSourcedId', 'termSourcedIds', 'subjects', 'subjectCodes', 'periods',
  ],
  'users.csv': [
    'sourcedId', 'status', 'dateLastModified', 'enabledUser', 'username', 'userIds', 'givenName', 'familyName',
    'middleName', 'identifier', 'email', 'sms', 'phone', 'agentSourcedIds', 'grades', 'password',
    'userMasterIdentifier', 'resourceSourcedIds', 'preferredGivenName', 'preferredMiddleName', 'preferredFamilyName',
    'primaryOrgSourcedId', 'pronouns',
  ],
  'roles.csv': [
    'sourcedId', 'status', 'dateLastModified', 'userSourcedId', 'roleType', 'role', 'beginDate', 'endDate',
    'orgSourcedId', 'userProfileSourcedId',
  ],
  'enrollments.csv': [
    'sourcedId', 'status', 'dateLastModified', 'classSourcedId', 'schoolSourcedId', 'userSourcedId', 'role', 'primary',
    'beginDate', 'endDate',
  ],
  'categories.csv': ['sourcedId', 'status', 'dateLastModified', 'title', 'weight'],
  'lineItems.csv': [
    'sourcedId', 'status', 'dateLastModified', 'title', 'description', 'assignDate', 'dueDate', 'classSourcedId',
    'categorySourcedId', 'gradingPeriodSourcedId', 'resultValueMin', 'resultValueMax', 'schoolSourcedId',
  ],
  'results.csv': [
    'sourcedId', 'status', 'dateLastModified', 'lineItemSourcedId', 'studentSourcedId', 'scoreStatus', 'score',
    'scoreDate', 'comment',
  ],
} as const // prettier-ignore
export type FileName = keyof typeof HEADINGS
export type Cells = Readonly<Record<string, string | number>>

/** Every file that the binding knows, and whether it is in this package. */
export const ALL_FILES = [
  'academicSessions', 'categories', 'classes', 'classResources', 'courses', 'courseResources', 'demographics',
  'enrollments', 'lineItemLearningObjectiveIds', 'lineItems', 'lineItemScoreScales', 'orgs', 'resources',
  'resultLearningObjectiveIds', 'results', 'resultScoreScales', 'roles', 'scoreScales', 'userProfiles', 'userResources',
  'users',
] as const // prettier-ignore
